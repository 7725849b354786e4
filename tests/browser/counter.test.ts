import { describe, expect, it } from 'vitest';
import { tap } from '../support/browser/tap';
import { DESK, PHONE, sharedVisitor, type Visitor } from '../support/browser/visitor';

const COUNTED = '[data-testid=counted]';

const atCounter = async (visitor: Visitor) => {
  await visitor.open(['pace 65 per 100 m'], 'counter');
  await visitor.reads(COUNTED, /^0$/);
};

describe('the pace counter on a phone', () => {
  const shared = sharedVisitor(PHONE);

  it('counts fast taps through a reload, takes a feature, and logs the leg', async () => {
    const { visitor } = shared;
    await atCounter(visitor);
    const { page } = visitor;
    await visitor.fill('#follow', '231');
    await tap(visitor, 20);
    await visitor.reads(COUNTED, /^20$/);
    await page.reload();
    await visitor.reads(COUNTED, /^20$/);
    expect(await visitor.value('#follow')).toBe('231');
    await tap(visitor, 20);
    await visitor.reads(COUNTED, /^40$/);
    await visitor.reads('[data-testid=counted-metres]', /^62 m$/);

    await visitor.choose('other');
    await visitor.fill('#feature-what', 'spring');
    await visitor.choose('Left');
    await visitor.fill('#feature-away', '12');
    await visitor.pick('Add', '.ant-modal');
    await visitor.gone('.ant-modal');
    await tap(visitor, 6);
    await visitor.reads(COUNTED, /^46$/);
    await visitor.choose('Undo');
    await visitor.reads(COUNTED, /^45$/);

    await visitor.choose('Name or note');
    await visitor.fill('#arrived-station', 'Gauge 1');
    await visitor.reads('.ant-modal', /231° magnetic, south-west · 45 paces, 69 m · to Gauge 1/);
    await page.keyboard.press('Enter');
    await visitor.reads('[role=status]', /Logged: 231 45p > Gauge 1/);
    await visitor.reads(COUNTED, /^0$/);
    await visitor.click('Back to the log');
    await visitor.home('051°', /Walk 69 m: 45 paces/);
    await visitor.reads('#line-2', /61\.5 m.*spring, 12 m to the left/);
  });

  it('counts by simulated motion; uses the simulated compass only when it is tapped', async () => {
    const { visitor } = shared;
    await atCounter(visitor);
    const { page } = visitor;
    await page.evaluate(() => localStorage.setItem('cairn-devices', 'simulated'));
    await page.reload();
    await visitor.reads('section[aria-label="Simulated devices"]', /Walking/);
    await visitor.choose('What counts, sound, sensors');
    await visitor.choose('Count by the phone’s motion');
    await visitor.choose('Walking');
    const more = (than: number) =>
      page.waitForFunction(
        (at: string, least: number) => Number(document.querySelector(at)?.textContent) > least,
        {},
        COUNTED,
        than,
      );
    await more(3);
    await visitor.choose('Walking');
    const walked = Number(await visitor.text(COUNTED));
    await tap(visitor, 1);
    await more(walked);
    await visitor.choose('Compass');
    await visitor.reads('section[aria-label="Phone compass"]', /phone’s own iron.*Use 23\d°/);
    expect(await visitor.value('#follow')).toBe('');
    await visitor.choose('Use 23');
    expect(await visitor.value('#follow')).toMatch(/^23\dM$/);
    await page.evaluate(() => localStorage.removeItem('cairn-devices'));
  });
});

describe('the pace counter at a desk', () => {
  const shared = sharedVisitor(DESK);

  it('works by keys alone, by tens and hundreds, in single steps', async () => {
    const { visitor } = shared;
    await atCounter(visitor);
    const { page } = visitor;
    for (let i = 0; i < 12; i++) await page.keyboard.press('Space');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('Backspace');
    await visitor.reads(COUNTED, /^11$/);
    await visitor.choose('What counts, sound, sensors');
    await visitor.choose('10 paces');
    await page.keyboard.press('Space');
    await visitor.reads(COUNTED, /^21$/);
    await visitor.choose('100 m');
    // Focus is on the choice now: the area takes the click.
    await page.click('[data-tap]');
    await visitor.reads('[data-testid=counted-metres]', /^132 m$/);
    await visitor.pick('Arrived: log it');
    await visitor.reads('main', /Which bearing did you follow/);
    await visitor.choose('Name or note');
    await visitor.fill('#arrived-bearing', '8 S');
    await visitor.reads('.ant-modal', /contradict each other/);
    await visitor.fill('#arrived-bearing', '8');
    await visitor.reads('.ant-modal', /008° magnetic.*132\.3 m/);
    await page.keyboard.press('Enter');
    await visitor.reads('[role=status]', /Logged: 8 132\.3m/);
    await visitor.choose('single steps');
    await visitor.choose('1 step');
    for (let i = 0; i < 3; i++) await page.click('[data-tap]');
    await visitor.reads('[data-testid=counted-metres]', /^2 m$/);
  });
});
