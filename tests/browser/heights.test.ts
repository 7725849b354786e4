import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { findingsInThemes } from '../support/browser/axe';
import { folder, offerFile } from '../support/browser/offer';
import { DESK, sharedVisitor, type Visitor } from '../support/browser/visitor';

const LOG = [
  'start Dock at 54.2 -63.5',
  'declination 19.1 W',
  'pace 65 per 100 m',
  '112 130p > Gauge 1',
  '061 160p > Gauge 2',
  '338 190p > Esker top',
];
const GROUND = '[data-testid=ground]';
const ON = 'Contours from the elevation files on this device';

/** How many contours are drawn, and which heights are written on them. */
async function contours({ page }: Visitor) {
  await page.waitForSelector(`${GROUND} path[data-kind=contour][d^=M]`);
  return page.$eval(GROUND, (ground) => ({
    lines: (ground.querySelector('[data-kind=contour]')?.getAttribute('d')?.match(/M/g) ?? [])
      .length,
    heights: [...ground.querySelectorAll('text')].map(({ textContent }) => Number(textContent)),
  }));
}

describe('heights on the device', () => {
  const shared = sharedVisitor(DESK);
  let outing = '';

  it('are asked for where contours are wanted and there are none', async () => {
    const { visitor } = shared;
    outing = await visitor.open(LOG);
    await visitor.press(ON);
    await visitor.reads('main', /No elevation files on this device yet\. Add elevation files/);
    expect(await visitor.page.$(GROUND)).toBeNull();
  });

  it('are kept from a file, and say what they are', async () => {
    const { visitor } = shared;
    await visitor.goto('files');
    await visitor.reads('main', /They stay on this device/);
    const wrong = join(folder, 'N54W064.hgt');
    writeFileSync(wrong, 'no heights');
    await offerFile(visitor, 'Choose elevation files', wrong);
    await visitor.reads('[role=alert]', /N54W064\.hgt: .*1201 or 3601 posts a side/);
    const named = join(folder, 'ormsay-lake.asc');
    writeFileSync(named, readFileSync('demo/ormsay-lake.asc'));
    await offerFile(visitor, 'Choose elevation files', named);
    await visitor.reads('main', /Kept on this device: 1 sheet\./);
    await visitor.reads('main', /no grid was taken for UTM, in the zone of your outings/);
    await visitor.reads(
      'main',
      /ormsay-lake\.asc \(ASCII grid\): posts 30 m apart, latitude 54\.19/,
    );
    expect(await findingsInThemes(visitor)).toEqual([]);
  });

  it('draw contours below the outing, and others for a closer look', async () => {
    const { visitor } = shared;
    await visitor.goto('outing', outing);
    const first = await contours(visitor);
    expect(first.lines).toBeGreaterThan(8);
    expect(first.heights.length).toBeGreaterThan(0);
    // The plateau is between 431 and 560 metres.
    for (const height of first.heights) {
      expect(height % 5).toBe(0);
      expect(height).toBeGreaterThanOrEqual(435);
      expect(height).toBeLessThan(560);
    }
    expect(await findingsInThemes(visitor)).toEqual([]);
    const before = await visitor.page.$eval(`${GROUND} path`, (path) => path.getAttribute('d'));
    for (let zoomed = 0; zoomed < 3; zoomed++) await visitor.press('Zoom in');
    await visitor.page.waitForFunction(
      (at: string, old: string | null) => document.querySelector(at)?.getAttribute('d') !== old,
      {},
      `${GROUND} path`,
      before,
    );
  });

  it('draw them below a route and on the picture of a map as well', async () => {
    const { visitor } = shared;
    await visitor.goto('route');
    await visitor.pick('Open the demo route');
    await visitor.page.waitForSelector('[data-testid=route-drawing] [data-kind=route]');
    expect((await contours(visitor)).lines).toBeGreaterThan(8);
    await visitor.goto('map');
    await visitor.choose('Add the demo map');
    await visitor.page.waitForSelector('[data-testid=map-sheet]');
    const { lines } = await contours(visitor);
    expect(lines).toBeGreaterThan(8);
    if (!(await visitor.page.$('[data-side=left]'))) await visitor.press('Layers');
    await visitor.press('Contours');
    await visitor.gone(GROUND);
    await visitor.press('Contours');
    await contours(visitor);
  });

  it('need a position: a log without one says so', async () => {
    const { visitor } = shared;
    await visitor.open(['pace 65 per 100 m', '112 130p']);
    const tool = '[aria-label^="Contours need a position"]';
    expect(await visitor.page.$eval(tool, (button) => (button as HTMLButtonElement).disabled)).toBe(
      true,
    );
  });

  it('are removed when asked twice', async () => {
    const { visitor } = shared;
    await visitor.goto('files');
    await visitor.press('Remove: ormsay-lake.asc');
    await visitor.reads('.ant-popover', /Remove ormsay-lake\.asc\? The file can be read again/);
    await visitor.pick('Remove', '.ant-popover');
    await visitor.page.waitForFunction(() => !/posts 30 m apart/.test(document.body.innerText));
    await visitor.goto('outing', outing);
    await visitor.reads('main', /No elevation files on this device yet/);
  });
});
