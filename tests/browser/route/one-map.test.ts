import { describe, expect, it } from 'vitest';
import { stillBox } from '../../support/browser/still-box';
import { SIZES, sharedVisitor, type Visitor } from '../../support/browser/visitor';

const LOG = [
  'start Dock at 54.2 -63.5',
  'declination 19 W',
  'pace 65 per 100 m',
  '109 300m > Gauge 1',
  '019 200m > Lookout',
];
const SHEET = '[data-testid=map-sheet]';
const TOOLS = '[aria-label=Tools]';
const THING = '[data-testid=thing]';

/** Opens the map of an outing with these lines; returns its id. */
async function openMap(visitor: Visitor, lines: readonly string[]) {
  const id = await visitor.store(lines);
  await visitor.goto('map', undefined, { outing: id });
  await visitor.alive(SHEET);
  return id;
}

/** Chooses something of the map by its name, in the table. */
async function chooseInTable(visitor: Visitor, name: string) {
  if (!(await visitor.page.$('[data-testid=map-table]'))) {
    await visitor.press('Table of what is on the map');
  }
  await visitor.fill('input[aria-label="Find on the map"]', name);
  await visitor.pick(name, '[data-testid=map-table]');
  await visitor.reads(THING, new RegExp(`^${name}`));
}

describe.each(SIZES)('the one map at %s', (_size, viewport) => {
  const shared = sharedVisitor(viewport);

  it('shows the log with its way home, and corrects a leg where it lies', async () => {
    const { visitor } = shared;
    await openMap(visitor, LOG);
    await visitor.reads('[data-testid=home-sentence]', /Walk 360 m/);
    await chooseInTable(visitor, 'Leg 2 to Lookout');
    await visitor.reads(THING, /019° magnetic, 200 m/);
    await visitor.pick('Correct', THING);
    await visitor.fill('#map-line', '019 20m > Lookout');
    await visitor.pick('Save', THING);
    await visitor.reads('[data-testid=home-sentence]', /Walk 30\d m/);
    await visitor.press('Undo');
    await visitor.reads('header', /Undone: Corrected: 019 200m .* 019 20m/);
    await visitor.reads('[data-testid=home-sentence]', /Walk 360 m/);
  });

  it('opens from a leg of the log with that leg chosen, and leads back to it', async () => {
    const { visitor } = shared;
    await visitor.open(LOG);
    await visitor.page.click('#line-1');
    await visitor.press('On the map');
    await visitor.reads(THING, /^Leg 1 to Gauge 1/);
    await visitor.choose('In the log');
    await visitor.page.waitForSelector('#line-1[aria-selected=true]');
  });

  it('takes bearings to known places, and draws where they put one', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    const id = await openMap(visitor, LOG);
    for (const [name, dx, dy] of [
      ['Bald summit', 40, -60],
      ['North end', -60, -30],
    ] as const) {
      await visitor.pick('Point', TOOLS);
      const box = await stillBox((await page.waitForSelector(SHEET))!);
      await page.mouse.click(box.x + box.width / 2 + dx, box.y + box.height / 4 + dy / 2);
      await visitor.fill('#map-known', name);
      await visitor.pick('Save');
      await visitor.reads('main', new RegExp(`“${name}” is kept`));
      await visitor.pick('Look', TOOLS);
    }
    await chooseInTable(visitor, 'Bald summit');
    await visitor.fill('#map-sight', '010');
    await visitor.pick('Take it', THING);
    await visitor.reads(THING, /Taken/);
    await chooseInTable(visitor, 'North end');
    await visitor.fill('#map-sight', '300');
    await visitor.pick('Take it', THING);
    await page.waitForSelector('[data-layer=fix] [data-kind=sight]');
    // The page of the fix has the same bearings.
    await visitor.goto('fix', id);
    await visitor.reads('main', /Bald summit[\s\S]*North end/);
  });

  it('has a route drawn by taps, a point dragged, and one inserted on a leg', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await openMap(visitor, LOG);
    await visitor.pick('Route', TOOLS);
    const box = await stillBox((await page.waitForSelector(SHEET))!);
    const at = (dx: number, dy: number) => ({
      x: box.x + box.width / 2 + dx,
      y: box.y + box.height / 4 + dy,
    });
    const points = '[data-testid=last-leg]';
    await page.mouse.click(at(-50, 0).x, at(0, 0).y);
    await visitor.reads(points, /^1 point/);
    await page.mouse.click(at(50, 0).x, at(0, 0).y);
    await visitor.reads(points, /^2 points\. .+: \d+° magnetic/);
    const before = await visitor.text(points);
    const handle = async (does: string, index: number) => {
      const all = await page.$$(`[data-handle=${does}]`);
      const found = await stillBox(all[index]!);
      return { x: found.x + found.width / 2, y: found.y + found.height / 2 };
    };
    const drag = async (from: { x: number; y: number }, dx: number, dy: number) => {
      await page.mouse.move(from.x, from.y);
      await page.mouse.down();
      await page.mouse.move(from.x + dx / 2, from.y + dy / 2);
      await page.mouse.move(from.x + dx, from.y + dy);
      await page.mouse.up();
    };
    await drag(await handle('move', 1), 0, 50);
    await page.waitForFunction(
      (selector, was) => document.querySelector(selector)?.textContent !== was,
      {},
      points,
      before,
    );
    await drag(await handle('insert', 0), 0, -40);
    await visitor.reads(points, /^3 points/);
    await visitor.pick('Undo', '[data-side=right]');
    await visitor.reads(points, /^2 points/);
  });

  it('remembers its layers for each outing', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    const id = await openMap(visitor, LOG);
    await page.waitForSelector('[data-layer=home]');
    if (!(await page.$('[data-side=left]'))) await visitor.press('Layers');
    await visitor.press('Way home');
    await visitor.gone('[data-layer=home]');
    await page.reload();
    await page.waitForSelector('[data-layer=log]');
    expect(await page.$('[data-layer=home]')).toBeNull();
    await openMap(visitor, LOG);
    await page.waitForSelector('[data-layer=home]');
    await visitor.goto('map', undefined, { outing: id });
    await page.waitForSelector('[data-layer=log]');
    expect(await page.$('[data-layer=home]')).toBeNull();
  });

  it('says what an outing without a position lacks, and measures all the same', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await openMap(visitor, ['090 100m', '180 50m']);
    await page.waitForSelector('[data-layer=log]');
    if (!(await page.$('[data-side=left]'))) await visitor.press('Layers');
    await visitor.reads('[data-side=left]', /has no position on the earth/);
    await visitor.press('Layers');
    await visitor.pick('Measure', TOOLS);
    const box = await stillBox((await page.waitForSelector(SHEET))!);
    await page.mouse.click(box.x + box.width / 2 - 50, box.y + box.height / 4);
    await page.mouse.click(box.x + box.width / 2 + 50, box.y + box.height / 4);
    await visitor.reads('[data-testid=measured]', /090° magnetic, \d+ m/);
  });
});
