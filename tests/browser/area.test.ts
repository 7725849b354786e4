import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { chooseFrom } from '../support/browser/choose-from';
import { offer } from '../support/browser/offer';
import { PHONE, sharedVisitor, type Visitor } from '../support/browser/visitor';

const LOGS = ['rain-gauges', 'east-shore', 'north-ridge'].map((name) => ({
  file: `${name}.log.txt`,
  text: readFileSync(`demo/${name}.log.txt`, 'utf8'),
}));

async function importAll(visitor: Visitor) {
  await visitor.goto('files');
  await visitor.page.waitForSelector('#backup');
  for (const { file, text } of LOGS) {
    await offer(visitor, file, text);
    await visitor.pick('Import 1 outing');
    await visitor.reads('[data-testid=imported]', /^1 imported\.$/);
  }
}

describe('an area', () => {
  const shared = sharedVisitor();

  it('is made of three files; its slip is found, mended and undone; ways cross it', async () => {
    const { visitor } = shared;
    await importAll(visitor);
    await visitor.goto('outings');
    await visitor.click('Join outings in an area');
    for (const name of ['Rain gauges, first day', 'Shore and fens', 'Lichen plots']) {
      await visitor.choose(name);
    }
    await visitor.click('Make the area');

    // Nothing is joined until the person says so.
    await visitor.reads('main', /These outings share no station/);
    await visitor.reads('main', /Dock: in .*Rain gauges, first day.*Lichen plots/s);
    await visitor.click('Join all by name');
    await visitor.reads('[data-testid=suspects]', /Leg 4 of Lichen plots: the bearing is 180° off/);
    await visitor.reads('[data-testid=suspects]', /It would read 091 208p/);
    await visitor.reads('[data-testid=whole-test]', /The loops do not close/);

    await visitor.click('Correct in the log');
    await visitor.reads('main', /Leg 4 of Lichen plots was corrected/);
    await visitor.reads('[data-testid=whole-test]', /Loops close within the expected error/);
    await visitor.click('Undo it');
    await visitor.reads('[data-testid=suspects]', /180° off/);
    await visitor.click('Redo');
    await visitor.reads('[data-testid=whole-test]', /Loops close within the expected error/);
    // Undo of the page takes back what was done last: the correction, not the places before it.
    await visitor.click('Undo');
    await visitor.reads('[data-testid=suspects]', /180° off/);
    expect(await visitor.text('main')).not.toMatch(/share no station/);
    await visitor.click('Correct in the log');
    await visitor.reads('[data-testid=whole-test]', /Loops close within the expected error/);

    // The way between what Tomas and what Marit found.
    const choose = (label: string, name: string) =>
      chooseFrom(visitor, `input[aria-label="${label}"]`, name);
    await choose('From', 'Lookout');
    await choose('To', 'Fen pool');
    await visitor.reads(
      '[data-testid=straight]',
      /\d{3}° magnetic, \d{3} m, \d+ paces, south-east/,
    );
    await visitor.reads('[data-testid=straight]', /within \d+ m \(95 %\)/);
    await visitor.reads('[data-testid=walked]', /Esker top/);
    expect(visitor.problems).toEqual([]);
  });

  it('is there after a reload without a network, with its undo', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.workerInstalled();
    await page.setOfflineMode(true);
    await page.reload();
    await visitor.reads('[data-testid=whole-test]', /Loops close within the expected error/);
    await visitor.choose('Compass rule');
    await visitor.reads('main', /shared out by the length of the legs/);
    await visitor.click('Undo');
    await visitor.reads('main', /Each reading gives way/);
    await visitor.click('Redo');
    await visitor.reads('main', /shared out by the length of the legs/);
    await page.setOfflineMode(false);
  });

  it('shows how sure each place is, hides an outing, and starts another from a place', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.click('Uncertainty');
    await page.waitForSelector('[data-testid=ellipse]');
    const outings = (await page.$$('[data-testid=area-sketch] [data-kind=leg]')).length;
    await visitor.click('Show Lichen plots');
    await page.waitForFunction(
      (before: number) =>
        document.querySelectorAll('[data-testid=area-sketch] [data-kind=leg]').length ===
        before - 1,
      {},
      outings,
    );
    await visitor.click('Show Lichen plots');
    await chooseFrom(visitor, 'input[aria-label="From"]', 'Fen pool');
    await visitor.click('Start an outing from Fen pool');
    await page.waitForSelector('[data-testid=home-sentence]');
    await visitor.reads('header', /From Fen pool/);
    await page.goBack();
    await visitor.reads('main', /From Fen pool/);
    // Another way is handed to the counter of a new outing.
    for (const [label, name] of [
      ['From', 'Lookout'],
      ['To', 'Gauge 4'],
    ] as const) {
      await chooseFrom(visitor, `input[aria-label="${label}"]`, name);
    }
    await visitor.click('Start walking');
    await page.waitForSelector('#follow');
    await visitor.reads('main', /Gauge 4/);
    expect(await visitor.value('#follow')).toMatch(/^\d{3}M?$/);
    await page.goBack();
    await visitor.reads('main', /From Lookout/);
  });

  it('is renamed, and forgets what was picked when an outing is taken out', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await chooseFrom(visitor, 'input[aria-label="From"]', 'Lookout');
    await visitor.reads('main', /Start an outing from Lookout/);
    // The page is still being laid out after going back: a press, not a click on where it was.
    await visitor.press('Remove from area: From Fen pool');
    await visitor.gone('aria/Start an outing from Lookout');
    await visitor.reads('main', /Choose two places here/);
    // The outing that began at its Lookout has no place in common with the others then.
    await visitor.press('Remove from area: Lichen plots');
    await visitor.reads('main', /share no station/);
    for (const name of ['Lichen plots', 'From Fen pool']) {
      await visitor.click('Undo');
      // Among the members again, not among those that could be added.
      await page.waitForSelector(`aria/Remove from area: ${name}`);
    }
    await visitor.fill('#area-name', 'Ormsay plateau');
    await page.keyboard.press('Enter');
    await visitor.reads('header', /Ormsay plateau/);
  });

  it('has an outing added that comes later', async () => {
    const { visitor } = shared;
    await visitor.store(['start Lookout', '045 200m > Far knoll'], 'Next day');
    await visitor.goto('area');
    await visitor.choose('Next day');
    await visitor.click('Add to Ormsay plateau');
    await visitor.reads('main', /Next day/);
    await visitor.reads('main', /Some outings know their declination and some do not/);
    await visitor.click('Remove from area: Next day');
    await visitor.reads('main', /Way between two places/);
  });

  it('is deleted, and restored', async () => {
    const { visitor } = shared;
    await visitor.click('Delete the area');
    await visitor.reads('main', /This area was deleted/);
    await visitor.click('Restore it');
    await visitor.reads('main', /Way between two places/);
  });
});

describe('an outing by itself', () => {
  const shared = sharedVisitor();

  it('is adjusted if it says so, in every view, also after a reload', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    const loop = ['start Dock', '048 200m > A', '140 200m', '235 150m', '330 190m > Dock'];
    const id = await visitor.open([...loop, 'from A', '060 90m']);
    await visitor.home('232°', /Walk 290 m/);
    await visitor.click('Settings');
    await page.waitForSelector('#set-by', { visible: true });
    await visitor.choose('Least squares');
    await visitor.click('Save');
    await visitor.reads('header', /Adjusted by least squares/);
    await page.reload();
    await visitor.reads('header', /Adjusted by least squares/);
    await visitor.goto('home-now', id);
    await visitor.reads('main', /Within \d+ m of Dock \(95 %\)\. Adjusted by least squares\./);
    await visitor.goto('way-home', id);
    await visitor.reads('main', /Simulation uses the outing as walked/);
    expect(visitor.problems).toEqual([]);
  });
});

describe('an area of many legs', () => {
  const shared = sharedVisitor();

  it('is adjusted in a worker, and is there when it is done', async () => {
    const { visitor } = shared;
    // Eighty squares one beside the other, each closed, and a leg of one of them reversed.
    const squares = Array.from({ length: 80 }, (_, i) => [
      `from ${i === 0 ? 'Dock' : `B${i - 1}`}`,
      '000 200m',
      `090 200m > A${i}`,
      `${i === 40 ? '000' : '180'} 200m > B${i}`,
      `270 200m > ${i === 0 ? 'Dock' : `B${i - 1}`}`,
    ]).flat();
    await visitor.store(['start Dock', ...squares], 'Squares');
    await visitor.goto('area');
    await visitor.choose('Squares');
    await visitor.click('Make the area');
    await visitor.reads('[data-testid=suspects]', /Leg 163: the bearing is 180° off/);
    await visitor.reads('[data-testid=whole-test]', /The loops do not close/);
    expect(visitor.problems).toEqual([]);
  });
});

describe('an area on a phone', () => {
  const shared = sharedVisitor(PHONE);

  it('is read and pressed with a thumb, and nothing sticks out', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.goto('outings');
    await visitor.click('Open the demo area');
    await page.waitForSelector('[data-testid=suspects]');
    const wide = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(wide).toBe(0);
    // The camp, and the place that is farthest up on the map.
    for (const place of await page.evaluate(ENDS_OF_MAP)) {
      await page.touchscreen.tap(place.x, place.y);
    }
    await visitor.reads('[data-testid=straight]', /\d{3}° magnetic, \d+ m/);
    await visitor.reads('#area-way ~ div, section[aria-labelledby=area-way]', /Dock/);
    expect(visitor.problems).toEqual([]);
  });
});

/** Where the start and the highest place are, in pixels. */
const ENDS_OF_MAP = `(() => {
  const rims = [...document.querySelectorAll('[data-testid=area-sketch] [data-testid=stations]')];
  const points = rims.flatMap((rim) =>
    [...rim.getAttribute('d').matchAll(/M(-?[\\d.]+) (-?[\\d.]+)h0/g)]
      .map(([, x, y]) => new DOMPoint(Number(x), Number(y)).matrixTransform(rim.getScreenCTM())));
  const top = points.reduce((best, each) => (each.y < best.y ? each : best));
  return [points[0], top].map(({ x, y }) => ({ x, y }));
})()` as unknown as () => { x: number; y: number }[];
