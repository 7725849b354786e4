import { describe, expect, it } from 'vitest';
import { solvedLog } from '../support/outings';
import { way } from '@/core/home';
import { threeDigits } from '@/core/angle';
import { TEN_LEGS, Visitor } from './visitor';

/** What the core says of the ten legs: the screen must say the same. */
function answer() {
  const { solution } = solvedLog(`pace 65 per 100 m\n${TEN_LEGS.join('\n')}`);
  const home = way(solution, solution.current, 0);
  return { bearing: threeDigits(home.bearing.magnetic!), paces: Math.round(home.paces!) };
}

describe('logging', () => {
  it('a first visit explains itself; ten legs are typed without the mouse, and survive a reload', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await page.goto(visitor.url);
    await visitor.reads('main', /bearing and the distance straight home/);
    await page.waitForSelector('aria/Open the demo outing');
    await visitor.click('Start an outing');
    await page.waitForSelector('[data-testid=home-sentence]');

    await visitor.log('pace 65 per 100 m');
    for (const line of TEN_LEGS) {
      await visitor.log(line);
      // Focus stays on the line: the next leg is typed at once.
      expect(await page.evaluate(() => document.activeElement?.getAttribute('aria-label'))).toBe(
        'Next line of the log',
      );
    }
    const { bearing, paces } = answer();
    await visitor.home(bearing, new RegExp(`${paces} paces`));
    expect(await visitor.legsDrawn()).toBe(10);

    await page.reload();
    await visitor.home(bearing, new RegExp(`${paces} paces`));
    await page.goto(visitor.url);
    await visitor.reads('main', /10 legs/);
    await visitor.leave();
  });

  it('shows how a line is understood before it is saved: in words, on the sketch and in the strip', async () => {
    const visitor = await Visitor.arrive();
    await visitor.startOuting();
    await visitor.log('000 100m > Gauge 1');
    await visitor.type('090 100m > Camp ; birch');
    await visitor.understood(/090° as the needle reads, east · 100 m · to Camp · note “birch”/);
    await visitor.page.waitForSelector('[data-testid=ghost-leg]');
    await visitor.home('225°', /After this leg:.*Walk 140 m, south-west/);
    expect(await visitor.legsDrawn()).toBe(1);
    await visitor.page.keyboard.press('Escape');
    await visitor.home('180°', /^Set 180° on the compass. Walk 100 m, south, to Start/);
    await visitor.leave();
  });

  it('an error stands under the very character, with what was expected and a way to mend it', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await visitor.startOuting();
    await visitor.type('8 S 65m');
    await visitor.understood(/008° and S contradict each other. Did you mean 008, S8E or S8W\?/);
    const offset = await page.evaluate(() => {
      const input = document.querySelector('input[aria-label="Next line of the log"]')!;
      const marker = document.querySelector('[data-column]')!;
      const style = getComputedStyle(input);
      const canvas = document.createElement('canvas').getContext('2d')!;
      canvas.font = style.font;
      const left =
        input.getBoundingClientRect().left +
        parseFloat(style.paddingLeft) +
        parseFloat(style.borderLeftWidth);
      return (marker.getBoundingClientRect().left - left) / canvas.measureText('0').width;
    });
    expect(offset).toBeCloseTo(2, 1);
    await page.keyboard.press('Enter');
    expect(
      await page
        .$('[data-testid=legs]')
        .then((legs) => legs?.evaluate((path) => path.getAttribute('d'))),
    ).toBe('');
    await visitor.click('Read it as S8W');
    await visitor.understood(/188° as the needle reads, south · 65 m/);
    await page.keyboard.press('Enter');
    await visitor.home('008°', /Walk 65 m/);

    await visitor.type('220 65m burnt snag');
    await visitor.understood(/Did you mean 220 65m ; burnt snag/);
    await visitor.click('Read it as 220 65m ; burnt snag');
    await visitor.understood(/note “burnt snag”/);
    await visitor.leave();
  });

  it('a distance in paces asks for the pace, and the set-up takes it', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await visitor.startOuting();
    await visitor.type('220 65p');
    await visitor.understood(/needs the length of a pace first/);
    await visitor.click('Set up');
    const pace = (await page.waitForSelector('#set-pace', { visible: true }))!;
    await pace.type('65');
    await visitor.reads('[role=dialog]', /Did you mean 65 per 100 m or 65 m/);
    await pace.type(' per 100 m');
    await visitor.choose('By a sum each time');
    await visitor.choose('Typed in');
    const angle = (await page.waitForSelector('#norths-angle', { visible: true }))!;
    await angle.type('19.1');
    await visitor.reads('[role=dialog]', /Did you mean 19.1 E or 19.1 W/);
    await angle.type(' W');
    await visitor.click('Save');
    await page.waitForFunction(() => !document.querySelector('.ant-drawer-open'));
    await visitor.reads('header', /Needle points 19.1° west of true/);
    await visitor.understood(/65 paces, 100 m/);
    await page.focus('input[aria-label="Next line of the log"]');
    await page.keyboard.press('Enter');
    // 220 by the needle is 200.9 true: home lies north, and the needle says 040.
    await visitor.home('040°', /Walk 100 m: 65 paces, north,/);
    await visitor.leave();
  });

  it('the model gives the declination at the start, loaded when it is asked for', async () => {
    const visitor = await Visitor.arrive();
    await visitor.startOuting();
    await visitor.page.reload();
    await visitor.log('declination 5 E');
    await visitor.click('Set up');
    await visitor.fill('#set-place', '54.2 -63.5');
    await visitor.fill('#set-date', '2026-08-14');
    await visitor.choose('World Magnetic Model');
    await visitor.click('Save');
    await visitor.reads('header', /Needle points 19.2° west of true/);
    await visitor.leave();
  });
});
