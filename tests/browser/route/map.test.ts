import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { writeArrayBuffer } from 'geotiff';
import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { folder, offerFile, offerFiles } from '../../support/browser/offer';
import { stillBox } from '../../support/browser/still-box';
import { insetsOf } from '@/views/map/insets';
import { PHONE, sharedVisitor, Visitor } from '../../support/browser/visitor';

const CONTROLS = JSON.parse(readFileSync('demo/ormsay-lake.controls.json', 'utf8')) as {
  x: number;
  y: number;
  label: string;
}[];
const PICTURE = { width: 1800, height: 1860 };
const SHEET = '[data-testid=map-sheet]';
const TIE = '[data-testid=tie]';

/** Taps a pixel of the picture, as it fits above the pane of a tool. */
async function tapPixel({ page }: Visitor, { x, y }: { x: number; y: number }) {
  const box = await stillBox((await page.waitForSelector(SHEET))!);
  const over = { isPhone: true, hasLayers: false, hasPane: true, height: 'half' } as const;
  const { top, bottom } = insetsOf(over, box);
  const high = box.height - top - bottom;
  const k = Math.min((box.width - 16) / PICTURE.width, (high - 16) / PICTURE.height);
  const left = box.x + box.width / 2 - (k * PICTURE.width) / 2;
  const upper = box.y + top + high / 2 - (k * PICTURE.height) / 2;
  await page.touchscreen.tap(left + k * x, upper + k * y);
}

/** Ties the crossing that was tapped to where it is. */
async function tieHere(visitor: Visitor, reference: string) {
  await visitor.page.waitForSelector('[data-testid=magnifier]');
  await visitor.fill('#tie-reference', reference);
  await visitor.page.keyboard.press('Escape');
  await visitor.pick('Set this point');
  await visitor.gone('[data-testid=magnifier]');
}

describe('a picture of a map', () => {
  const shared = sharedVisitor(PHONE);

  it('is added from a file, and tied by touch', async () => {
    const { visitor } = shared;
    await visitor.goto('map');
    await visitor.reads('main', /No picture yet/);
    await offerFile(visitor, 'Add a picture', 'demo/ormsay-lake.png');
    await visitor.reads(TIE, /Not positioned yet/);
    for (const control of CONTROLS.slice(0, 2)) {
      await tapPixel(visitor, control);
      await tieHere(visitor, control.label);
    }
    await visitor.reads(TIE, /similarity.*One point more checks these/s);
    for (const control of CONTROLS.slice(2)) {
      await tapPixel(visitor, control);
      await tieHere(visitor, control.label);
    }
    await visitor.reads(TIE, /Seen from a slant \(projective\)/);
    // The whole picture is in sight: a long bar of tools doesn't widen the sheet beyond the screen.
    const { x, width } = await stillBox((await visitor.page.waitForSelector(SHEET))!);
    expect(x + width).toBeLessThanOrEqual(PHONE.width);
    // A fifth point checks: the crossing beside it is 500 m off, and is reported.
    const middle = { x: (CONTROLS[0]!.x + CONTROLS[2]!.x) / 2, y: CONTROLS[0]!.y + 700 };
    await tapPixel(visitor, middle);
    await tieHere(visitor, '20U 467900 6006200');
    await visitor.reads(TIE, /RMS/);
    await visitor.press('Delete 20U 467900 6006200');
    await visitor.reads(TIE, /One point more checks these/);
  });

  it('tells bearing and metres between two taps at once, also after a reload', async () => {
    const { visitor } = shared;
    await visitor.page.reload();
    await visitor.choose('Point');
    await tapPixel(visitor, CONTROLS[0]!);
    await visitor.reads('main', /The place: 20U 46[56]\d{3} 6007\d{3}/);
    await visitor.pick('Measure from here');
    await tapPixel(visitor, CONTROLS[1]!);
    await visitor.reads('[data-testid=measured]', /(089|090|091)° grid, 2,\d{3} m/);
  });

  it('takes lines and barriers, and the points of a route', async () => {
    const { visitor } = shared;
    await visitor.choose('Lines');
    for (const pixel of [
      { x: 700, y: 900 },
      { x: 1100, y: 900 },
    ]) {
      await tapPixel(visitor, pixel);
    }
    await visitor.fill('#line-name', 'The gorge');
    await visitor.choose('Barrier: warn if a route crosses it');
    await visitor.pick('Keep the line');
    await visitor.reads('main', /“The gorge” is kept/);

    await visitor.choose('Route');
    // Each tap adds a point; the first begins the route, and undo takes the last one back.
    const points = '[data-testid=last-leg]';
    await tapPixel(visitor, { x: 900, y: 1050 });
    await visitor.reads(points, /^1 point\./);
    await visitor.fill('#map-point', 'South');
    await visitor.page.keyboard.press('Enter');
    await tapPixel(visitor, { x: 500, y: 800 });
    await visitor.reads(points, /^2 points\. Point 2: /);
    await visitor.pick('Undo');
    await visitor.reads(points, /^1 point\./);
    await tapPixel(visitor, { x: 900, y: 700 });
    await visitor.reads(points, /^2 points\. Point 2: 0?\d+° magnetic, \d{3} m/);
    await visitor.fill('#map-point', 'North');
    await visitor.page.keyboard.press('Enter');
    await visitor.reads(points, /North: 0?\d+° magnetic, \d{3} m/);
    await visitor.choose('Open the route');
    await visitor.reads('main', /Start: South/);
    await visitor.choose('1. To North');
    await visitor.reads('[data-code=crosses-barrier]', /goes straight over The gorge/);
  });

  it('has a protractor that is right, and one that is wrong by 180°', async () => {
    const { visitor } = shared;
    await visitor.goto('map');
    await visitor.choose('ormsay-lake');
    await visitor.choose('Protractor');
    await tapPixel(visitor, CONTROLS[3]!);
    await tapPixel(visitor, CONTROLS[1]!);
    await visitor.reads('main', /The edge is \d+° off the line/);
    await visitor.pick('Show me');
    await visitor.reads('main', /Edge and dial are right: 04\d grid/);
    // The dial by its keys to the other end: N against the grid's south.
    await visitor.page.focus('[role=slider][aria-labelledby=dial-label]');
    for (let i = 0; i < 180; i++) {
      await visitor.page.keyboard.press('ArrowRight');
      // No hand is faster than the screen.
      await visitor.page.evaluate(() => new Promise(requestAnimationFrame));
    }
    await visitor.reads('main', /wrong by exactly 180°/);
  });

  it('that tells its own place is read as it is: GeoTIFF, and world file', async () => {
    const { visitor } = shared;
    const pixels = new Uint8Array(64 * 64 * 3).fill(200);
    const tiff = (await writeArrayBuffer(pixels, {
      width: 64,
      height: 64,
      SamplesPerPixel: 3,
      PhotometricInterpretation: 2,
      BitsPerSample: [8, 8, 8],
      ModelPixelScale: [50, 50, 0],
      ModelTiepoint: [0, 0, 0, 465_700, 6_007_900, 0],
      ProjectedCSTypeGeoKey: 32_620,
      GTModelTypeGeoKey: 1,
      GTRasterTypeGeoKey: 1,
    })) as ArrayBuffer;
    const file = join(folder, 'sheet.tif');
    writeFileSync(file, new Uint8Array(tiff));
    await visitor.goto('map');
    await offerFile(visitor, 'Add a picture', file);
    await visitor.choose('Set map position');
    await visitor.reads(TIE, /Positioned by its own file/);

    const world = join(folder, 'ormsay-lake.pgw');
    writeFileSync(world, '1.9\n0\n0\n-1.9\n465500\n6008000\n');
    await visitor.goto('map');
    await offerFiles(visitor, 'Add a picture', ['demo/ormsay-lake.png', world]);
    await visitor.reads(TIE, /names no grid/);
    await visitor.fill('input[aria-label^="Grid of the map"]', '+proj=utm +zone=20 +datum=WGS84');
    await visitor.pick('Save');
    await visitor.reads(TIE, /Positioned by its own file/);

    const text = join(folder, 'no-picture.png');
    writeFileSync(text, 'hello');
    await visitor.goto('map');
    await offerFile(visitor, 'Add a picture', text);
    await visitor.reads('[role=alert]', /can’t be read/);
  });
});

describe('a picture that can’t be kept', () => {
  it('because it is too large is scaled down, if that is agreed', async () => {
    const visitor = await Visitor.arrive(PHONE);
    const large = new PNG({ width: 7000, height: 6000, colorType: 0 });
    large.data.fill(120);
    const file = join(folder, 'large.png');
    writeFileSync(file, PNG.sync.write(large, { colorType: 0 }));
    await visitor.goto('map');
    await visitor.reads('main', /up to 60 MB and 40 megapixels/);
    await offerFile(visitor, 'Add a picture', file);
    await visitor.reads('main', /7000 × 6000 pixels, .* Scale it down to 4830 × 4140/);
    await visitor.pick('Cancel');
    await offerFile(visitor, 'Add a picture', file);
    await visitor.pick('Scale it down');
    await visitor.reads(TIE, /Not positioned yet/);
    // Who has no picture draws on the grid.
    await visitor.goto('map');
    await visitor.reads('main', /4830 × 4140/);
    await visitor.choose('No picture? A sheet');
    await visitor.fill('#grid-around', '54.2 -63.5');
    await visitor.pick('Make the sheet');
    await visitor.choose('Set map position');
    await visitor.reads(TIE, /the points disagree by 0\.0 m/);
    await visitor.leave();
  });

  it('because the disk is full is reported, and nothing of it stays', async () => {
    const visitor = await Visitor.arrive(PHONE);
    await visitor.goto('map');
    await visitor.reads('main', /No picture yet/);
    // The browser here has no quota that can be set: the store's own call fails as a full one does.
    await visitor.page.evaluate(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('full', 'QuotaExceededError');
      };
    });
    await offerFile(visitor, 'Add a picture', 'demo/ormsay-lake.png');
    await visitor.reads('[role=alert]', /full|room|space/i);
    await visitor.page.reload();
    await visitor.reads('main', /No picture yet/);
    expect(visitor.problems.splice(0)).toEqual([]);
    await visitor.leave();
  });
});
