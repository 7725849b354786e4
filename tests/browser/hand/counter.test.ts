import { describe, expect, it } from 'vitest';
import { tap } from '../../support/browser/tap';
import { PHONE, sharedVisitor, type Visitor } from '../../support/browser/visitor';

const COUNTED = '[data-testid=counted]';
const line = (index: number) => `#line-${index}`;

describe('the counter in one hand', () => {
  const shared = sharedVisitor(PHONE);
  const at = async (lines: readonly string[], more: Record<string, string> = {}) => {
    const { visitor } = shared;
    const id = await visitor.store(lines);
    await visitor.goto('counter', id, more);
    await visitor.reads(COUNTED, /^0$/);
    return { visitor, id };
  };
  const openLog = async (visitor: Visitor) => {
    await visitor.click('Back to the log');
    await visitor.page.waitForSelector('[data-testid=home-sentence]');
  };

  it('logs at Arrived at once, keeps the bearing, and takes a leg back whole', async () => {
    const { visitor, id } = await at(['pace 65 per 100 m']);
    await visitor.fill('#follow', '231');
    await tap(visitor, 3);
    await visitor.pick('Arrived: log it');
    await visitor.reads('[role=status]', /Logged: 231 3p/);
    await visitor.reads('main', /Kept from the leg before/);
    await visitor.choose('Take it back');
    await visitor.reads(COUNTED, /^3$/);
    await tap(visitor, 2);
    await visitor.pick('Arrived: log it');
    await visitor.reads('[role=status]', /Logged: 231 5p/);
    await tap(visitor, 4);
    // A tap has begun the next leg: the last one stays.
    await visitor.gone('::-p-text(Take it back)');
    await visitor.pick('Arrived: log it');
    await visitor.reads('[role=status]', /Logged: 231 4p/);
    // What the walk home asks for goes before what was only kept.
    await visitor.goto('counter', id, { follow: '051M', metres: '14', to: 'Start' });
    await visitor.reads('[data-testid=target]', /^To Start: 14 m, 9 paces left$/);
    expect(await visitor.value('#follow')).toBe('051M');
    await openLog(visitor);
    await visitor.home('051°', /Walk 14 m: 9 paces/);
    await visitor.reads(line(2), /231°.*4 paces/);
  });

  it('counts down to home, and says what is passed on the way', async () => {
    const { visitor } = await at(
      ['pace 65 per 100 m', 'start Dock', '000 200m', 'at 180 left 10 water ; spring'],
      { follow: '180M', metres: '200', to: 'Dock' },
    );
    await visitor.reads('[data-testid=target]', /^To Dock: 200 m, 130 paces left$/);
    await visitor.reads('[data-testid=ahead]', /^spring, 10 m to your right, in about 13 paces$/);
    await tap(visitor, 10);
    await visitor.reads('[data-testid=ahead]', /in about 3 paces/);
    await tap(visitor, 4);
    await visitor.gone('[data-testid=ahead]');
    await visitor.reads('[data-testid=target]', /^To Dock: 178 m, 116 paces left$/);
    await visitor.page.reload();
    await visitor.reads('[data-testid=target]', /^To Dock: 178 m/);
    await visitor.choose('Target');
    await visitor.fill('#target', '20');
    await visitor.choose('Set');
    await visitor.reads('[data-testid=target]', /^2 m, 1 pace beyond 20 m$/);
  });

  it('counts a press once, however long it is held, and the click of a helper', async () => {
    const { visitor } = await at(['pace 65 per 100 m']);
    const { page } = visitor;
    const area = (await page.waitForSelector('[data-tap]'))!;
    await area.click({ delay: 1000 });
    await visitor.reads(COUNTED, /^1$/);
    await area.click({ delay: 1 });
    await visitor.reads(COUNTED, /^2$/);
    const click = (detail: number) =>
      area.evaluate(
        (button, clicks) =>
          button.dispatchEvent(new MouseEvent('click', { bubbles: true, detail: clicks })),
        detail,
      );
    // Made by no pointer, or by something that tells no press; the click of a late page is neither.
    await click(0);
    await visitor.reads(COUNTED, /^3$/);
    await click(1);
    await visitor.reads(COUNTED, /^4$/);
    await area.evaluate((button) =>
      button.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, button: 0 })),
    );
    await visitor.reads(COUNTED, /^5$/);
    await page.evaluate(() => new Promise((settled) => setTimeout(settled, 1500)));
    await click(1);
    await tap(visitor, 1);
    await visitor.reads(COUNTED, /^6$/);
  });

  it('notes things seen with one tap, boxes an obstacle, and goes from mark to mark', async () => {
    const { visitor } = await at(['pace 50 per 100 m'], { follow: '090' });
    await tap(visitor, 5);
    await visitor.choose('rock');
    await visitor.choose('Right');
    await visitor.choose('5 m');
    await visitor.choose('At a mark');
    await visitor.choose('25 m');
    await visitor.reads('[data-testid=mark]', /^To the next mark: 25 m, 13 paces left$/);
    await visitor.choose('Box');
    await visitor.choose('out to the left');
    await visitor.reads('[data-testid=box]', /Out to the left: 000°/);
    await tap(visitor, 6);
    await visitor.choose('Turn: along it');
    await visitor.reads('[data-testid=box]', /on your bearing again: 090°/);
    await tap(visitor, 8);
    await visitor.choose('Turn: back');
    await visitor.reads('[data-testid=box]', /Back to your line: 180°.*6 paces left/);
    await visitor.page.reload();
    await tap(visitor, 6);
    await visitor.reads('[data-testid=box]', /You are on your line/);
    await visitor.choose('On my line again');
    await visitor.reads(COUNTED, /^13$/);
    await visitor.pick('Arrived: log it');
    await visitor.reads('[role=status]', /Logged: 090 5p/);
    await openLog(visitor);
    await visitor.home('270°', /Walk 26 m: 13 paces/);
    await visitor.reads(line(2), /left.*6 paces out and back, 8 paces along/);
    await visitor.reads(line(3), /10 m.*rock, 5 m to the right/);
  });

  it('walks a leg by the clock, through pauses and a reload', async () => {
    const { visitor } = await at(['pace 65 per 100 m']);
    const { page } = visitor;
    await visitor.fill('#follow', '090');
    await visitor.choose('What counts, sound, sensors');
    await visitor.choose('the clock');
    await visitor.reads('[data-testid=clock]', /^0:00$/);
    await visitor.choose('Start');
    await visitor.reads('[data-testid=clock]', /^0:0[4-9]|0:[1-5]\d$/);
    await page.reload();
    await visitor.choose('Pause');
    const [minutes, seconds] = (await visitor.text('[data-testid=clock]')).split(':').map(Number);
    expect(60 * minutes! + seconds!).toBeGreaterThanOrEqual(4);
    await visitor.fill('#speed', '6');
    await visitor.choose('Go on');
    await visitor.choose('Pause');
    await visitor.pick('Arrived: log it');
    await visitor.reads('[role=status]', /Logged: 090 [\d.]+min@6kmh/);
    await page.evaluate(() => localStorage.removeItem('cairn-counter'));
  });
});
