import { describe, expect, it } from 'vitest';
import { chooseFrom } from '../support/browser/choose-from';
import { LINE, sharedVisitor } from '../support/browser/visitor';

const line = (index: number) => `#line-${index}`;

describe('changing what was logged', () => {
  const shared = sharedVisitor();

  /** An outing with four legs, the third named, logged one by one so that they can be undone. */
  async function withLegs() {
    const { visitor } = shared;
    await visitor.open(['000 100m', '090 100m']);
    for (const leg of ['180 100m > Camp', '180 50m']) await visitor.log(leg);
    await visitor.home('297°', /Walk 110 m/);
    return visitor;
  }

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
    await page.waitForSelector('[data-testid=route] [data-kind=leg]');
    await visitor.click('Redo');
    await visitor.home('297°', /Walk 110 m/);
    // While the line holds text, its own undo goes first.
    await visitor.type('5');
    await visitor.chord('z');
    await visitor.drawsLegs(4);
  });

  it('a leg is corrected in the entry line, struck out, and inserted before another', async () => {
    const visitor = await withLegs();
    const { page } = visitor;
    await page.click(line(3));
    await visitor.click('Correct');
    await page.waitForFunction(
      (at: string) => document.querySelector<HTMLInputElement>(at)!.value === '180 50m',
      {},
      LINE,
    );
    await visitor.fill(LINE, '000 100m ; read again');
    await page.keyboard.press('Enter');
    await visitor.interprets(/^Saved/);
    await visitor.reads(line(4), /000°.*read again/);
    await visitor.home('225°', /Walk 140 m/);

    await page.click(line(4));
    await visitor.click('Strike out');
    await visitor.home('270°', /Walk 100 m/);
    await visitor.drawsLegs(3);

    await page.click(line(1));
    await visitor.click('Insert before');
    await visitor.log('270 30m');
    await visitor.drawsLegs(4);
    await visitor.home('270°', /Walk 70 m/);
  });

  it('undoing while a line is being corrected ends the correction', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open(['000 100m']);
    await visitor.log('090 100m');
    await page.click('#line-1');
    await visitor.click('Correct');
    await page.waitForSelector('[aria-label="Reason (optional)"]');
    await visitor.press('Undo');
    await visitor.interprets(/^Undone/);
    await visitor.gone('[aria-label="Reason (optional)"]');
    expect(await visitor.value(LINE)).toBe('');
    await visitor.drawsLegs(1);
  });

  it('a correction is read in its place, not at the end of the log', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open(['declination 19.1 W', '000 100m', 'read true', '090 100m']);
    await page.click('#line-0');
    await visitor.click('Correct');
    expect(await visitor.value(LINE)).toBe('000 100m');
    await visitor.fill(LINE, '010 100m');
    await visitor.interprets(/010° magnetic/);
  });

  it('a leg that others need can’t be struck out, and the app says why', async () => {
    const visitor = await withLegs();
    await visitor.log('from 2');
    await visitor.log('045 10m');
    await visitor.page.click(line(1));
    await visitor.click('Strike out');
    await visitor.interprets(/Other lines lead to or from 2/);
    await visitor.drawsLegs(5);
  });

  it('a station is renamed; a name that is taken is refused', async () => {
    const visitor = await withLegs();
    const { page } = visitor;
    await page.click(line(0));
    await visitor.click('Name');
    await visitor.fill('#station-name', 'Camp');
    await visitor.click('Rename');
    await visitor.reads('[role=dialog]', /There is already a station called “Camp”/);
    await visitor.fill('#station-name', 'Ford');
    await visitor.click('Rename');
    await visitor.reads(line(0), /Ford/);
  });

  it('selecting a leg in either pane selects it in both', async () => {
    const visitor = await withLegs();
    const { page } = visitor;
    await page.click(line(1));
    await page.waitForSelector('[data-testid=chosen-line][data-chosen="2"]');
    // The first leg runs north from the start: its middle is halfway up the drawing's west side.
    const middle = await page.$eval('[data-testid=route] [data-kind=leg]', (path) => {
      const box = path.getBoundingClientRect();
      return { x: box.left, y: box.top + box.height / 2 };
    });
    await page.mouse.click(middle.x, middle.y);
    await page.waitForSelector('[data-testid=chosen-line][data-chosen="1"]');
    await page.waitForSelector(`${line(0)}[aria-selected=true]`);
  });

  it('the way between any two stations can be read', async () => {
    const visitor = await withLegs();
    const { page } = visitor;
    await page.click(line(2));
    await visitor.click('Way from here');
    await visitor.home('270°', /Walk 100 m/);
    await visitor.click('The way between other stations');
    await chooseFrom(visitor, '#way-to', '1');
    await visitor.click('Show');
    await visitor.reads('[aria-label="Way home"]', /From Camp to 1/);
    await visitor.home('315°', /Walk 140 m/);
    await visitor.click('Way home[role="button"]');
    await visitor.home('297°', /Walk 110 m/);
  });

  it('the sketch zooms by key, wheel and button, moves by key, and fits again', async () => {
    const visitor = await withLegs();
    const { page } = visitor;
    const width = () =>
      page.$eval(
        '[data-testid=route] [data-kind=leg]',
        (path) => path.getBoundingClientRect().width,
      );
    const left = () =>
      page.$eval(
        '[data-testid=route] [data-kind=leg]',
        (path) => path.getBoundingClientRect().left,
      );
    const wider = async (than: number) =>
      page.waitForFunction(
        (least: number) =>
          document.querySelector('[data-testid=route] [data-kind=leg]')!.getBoundingClientRect()
            .width > least,
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
        Math.abs(
          document.querySelector('[data-testid=route] [data-kind=leg]')!.getBoundingClientRect()
            .left - was,
        ) < 2,
      {},
      place,
    );
    await page.mouse.move(900, 300);
    await page.mouse.wheel({ deltaY: -300 });
    await wider(fitted * 1.1);
    await visitor.click('Fit');
    await visitor.click('Zoom in');
    await wider(fitted * 1.3);
    await visitor.reads('[data-testid=scale-bar]', /\d+ m/);
  });
});
