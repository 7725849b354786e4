import { describe, expect, it } from 'vitest';
import { Visitor } from './visitor';

const line = (index: number) => `#line-${index}`;

/** A page with four legs, the third named. */
async function withLegs() {
  const visitor = await Visitor.arrive();
  await visitor.startOuting();
  for (const leg of ['000 100m', '090 100m', '180 100m > Camp', '180 50m']) await visitor.log(leg);
  await visitor.home('297°', /Walk 110 m/);
  return visitor;
}

describe('changing what was logged', () => {
  it('undo and redo by key and by button, over a reload', async () => {
    const visitor = await withLegs();
    const { page } = visitor;
    await visitor.chord('z');
    await visitor.home('270°', /Walk 100 m, west/);
    await visitor.click('Undo');
    await visitor.home('225°', /Walk 140 m/);
    await visitor.chord('Shift', 'z');
    await visitor.home('270°', /Walk 100 m/);
    await page.reload();
    await page.waitForSelector('[data-testid=legs]');
    await visitor.click('Redo');
    await visitor.home('297°', /Walk 110 m/);
    // While the line holds text, its own undo goes first.
    await visitor.type('5');
    await visitor.chord('z');
    expect(await visitor.legsDrawn()).toBe(4);
    await visitor.leave();
  });

  it('a leg is changed in the entry line, with its note; removed; put in before another', async () => {
    const visitor = await withLegs();
    const { page } = visitor;
    await page.click(line(3));
    await visitor.click('Change');
    await page.waitForFunction(
      () =>
        document.querySelector<HTMLInputElement>('input[aria-label="Next line of the log"]')!
          .value === '180 50m',
    );
    await page.click('input[aria-label="Next line of the log"]', { count: 3 });
    await visitor.log('000 100m ; read again');
    await visitor.reads(line(4), /000°.*read again/);
    await visitor.home('225°', /Walk 140 m/);

    await page.click(line(4));
    await visitor.click('Strike out');
    await visitor.home('270°', /Walk 100 m/);
    expect(await visitor.legsDrawn()).toBe(3);

    await page.click(line(1));
    await visitor.click('Insert before');
    await visitor.log('270 30m');
    expect(await visitor.legsDrawn()).toBe(4);
    await visitor.home('270°', /Walk 70 m/);
    await visitor.leave();
  });

  it('a leg that others need is not removed, and the page says why', async () => {
    const visitor = await withLegs();
    await visitor.log('from 2');
    await visitor.log('045 10m');
    await visitor.page.click(line(1));
    await visitor.click('Strike out');
    await visitor.understood(/Other lines lead to or from 2/);
    expect(await visitor.legsDrawn()).toBe(5);
    await visitor.leave();
  });

  it('a station is renamed, and a taken name is refused', async () => {
    const visitor = await withLegs();
    const { page } = visitor;
    await page.click(line(0));
    await visitor.click('Name');
    const field = (await page.waitForSelector('#station-name', { visible: true }))!;
    await field.click({ count: 3 });
    await field.type('Camp');
    await visitor.click('Rename');
    await visitor.reads('[role=dialog]', /“Camp” already stands/);
    await field.click({ count: 3 });
    await field.type('Ford');
    await visitor.click('Rename');
    await visitor.reads(line(0), /Ford/);
    await visitor.leave();
  });

  it('choosing a leg in either leaf chooses it in both', async () => {
    const visitor = await withLegs();
    const { page } = visitor;
    await page.click(line(1));
    await page.waitForSelector('[data-testid=chosen-leg][data-leg="2"]');
    // The first leg runs north from the start: its middle on the screen is halfway up the drawing's west side.
    const middle = await page.$eval('[data-testid=legs]', (path) => {
      const box = path.getBoundingClientRect();
      return { x: box.left, y: box.top + box.height / 2 };
    });
    await page.mouse.click(middle.x, middle.y);
    await page.waitForSelector('[data-testid=chosen-leg][data-leg="1"]');
    await page.waitForSelector(`${line(0)}[aria-selected=true]`);
    await visitor.leave();
  });

  it('the way between any two stations is read off', async () => {
    const visitor = await withLegs();
    const { page } = visitor;
    await page.click(line(2));
    await visitor.click('Way from here');
    await visitor.home('270°', /Walk 100 m/);
    await visitor.click('Other stations');
    await page.waitForSelector('#way-to', { visible: true });
    await page.click('#way-to');
    await page.keyboard.type('1');
    await page.keyboard.press('Enter');
    await visitor.click('Show it');
    await visitor.reads('[aria-label="Way home"]', /From Camp to 1/);
    await visitor.home('315°', /Walk 140 m/);
    await visitor.click('Back to the way home');
    await visitor.home('297°', /Walk 110 m/);
    await visitor.leave();
  });

  it('the sketch zooms by key, wheel and button, moves by key, and shows all again', async () => {
    const visitor = await withLegs();
    const { page } = visitor;
    const width = () =>
      page.$eval('[data-testid=legs]', (path) => path.getBoundingClientRect().width);
    const left = () =>
      page.$eval('[data-testid=legs]', (path) => path.getBoundingClientRect().left);
    const wider = async (than: number) =>
      page.waitForFunction(
        (least: number) =>
          document.querySelector('[data-testid=legs]')!.getBoundingClientRect().width > least,
        {},
        than,
      );
    const [fitted, place] = [await width(), await left()];
    await page.$eval('[data-testid=sketch]', (sketch) => (sketch as SVGSVGElement).focus());
    await page.keyboard.press('+');
    await wider(fitted * 1.3);
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('0');
    await page.waitForFunction(
      (was: number) =>
        Math.abs(document.querySelector('[data-testid=legs]')!.getBoundingClientRect().left - was) <
        2,
      {},
      place,
    );
    await page.mouse.move(900, 300);
    await page.mouse.wheel({ deltaY: -300 });
    await wider(fitted * 1.1);
    await visitor.click('Show all');
    await visitor.click('Nearer');
    await wider(fitted * 1.3);
    await visitor.reads('[data-testid=scale-bar]', /\d+ m/);
    await visitor.leave();
  });
});
