import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { planned } from '../../support/route/demo-route';
import { findingsInThemes } from '../../support/browser/axe';
import { chooseFrom } from '../../support/browser/choose-from';
import { folder, offerFile } from '../../support/browser/offer';
import { DESK, PHONE, sharedVisitor, type Visitor } from '../../support/browser/visitor';

/** Starts a route with a declination that stays what it is. */
async function newRoute(visitor: Visitor, name: string) {
  await visitor.goto('route');
  await visitor.reads('main', /Plan a route/);
  await visitor.fill('#route-name', name);
  await visitor.pick('Plan a route');
  await visitor.reads('main', /Add the point where you leave/);
}

async function typedPoint(visitor: Visitor, name: string, place: string) {
  await visitor.fill('#point-name', name);
  await visitor.fill('#point-place', place);
  await visitor.pick('Add the point');
  await visitor.reads('[data-testid=legs-of-route]', new RegExp(name));
}

describe('the drawing of a route', () => {
  const shared = sharedVisitor(DESK);
  const DRAWING = '[data-testid=route-drawing]';
  const LEGS = `${DRAWING} [data-kind=route]`;
  /** How the drawing is moved, the middle of its first leg, and which leg is chosen. */
  const state = (page: Visitor['page']) =>
    page.$eval(DRAWING, (drawing) => {
      const legs = drawing.querySelector<SVGPathElement>('[data-kind=route]')!;
      const ends = [...legs.getAttribute('d')!.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)]
        .slice(0, 2)
        .map(([, x, y]) => new DOMPoint(Number(x), Number(y)))
        .map((point) => point.matrixTransform(legs.getScreenCTM()!));
      return {
        view: drawing.querySelector('[data-testid=shapes]')!.getAttribute('transform') ?? '',
        x: (ends[0]!.x + ends[1]!.x) / 2,
        y: (ends[0]!.y + ends[1]!.y) / 2,
        chosen: drawing.querySelector('[data-chosen]')?.getAttribute('data-chosen') ?? '',
      };
    });

  it('chooses a leg by a tap and by keys, and leaves the wheel to the page', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.goto('route');
    await visitor.pick('Open the demo route');
    const drawing = (await page.waitForSelector(LEGS))!;
    await drawing.evaluate((leg) => leg.scrollIntoView({ block: 'center' }));
    const { view, x, y } = await state(page);
    await page.mouse.click(x, y);
    await page.waitForSelector(`${DRAWING} [data-chosen="1"]`);
    await page.$eval(DRAWING, (svg) => (svg as SVGSVGElement).focus());
    await page.keyboard.press('PageDown');
    await page.waitForSelector(`${DRAWING} [data-chosen="2"]`);
    expect((await state(page)).chosen).toBe('2');

    await page.mouse.move(x, y);
    await page.mouse.wheel({ deltaY: -120 });
    expect((await state(page)).view).toBe(view);
    await page.keyboard.press('+');
    const moved = (selector: string, before: string, is: boolean) =>
      (document.querySelector(selector)?.getAttribute('transform') === before) === is;
    const shapes = `${DRAWING} [data-testid=shapes]`;
    await page.waitForFunction(moved, {}, shapes, view, false);
    await visitor.choose('Fit');
    await page.waitForFunction(moved, {}, shapes, view, true);
  });
});

describe('a route', () => {
  const shared = sharedVisitor(PHONE);

  it('is planned from places typed, measured and known, and confirmed leg by leg', async () => {
    const { visitor } = shared;
    await newRoute(visitor, 'By hand');
    await typedPoint(visitor, 'Dock', '54.2 -63.5');
    await visitor.choose('Day and declination');
    await visitor.fill('#head-declination', '19.1 W');
    await visitor.fill('#head-paces', '65 per 100 m');
    await visitor.fill('#head-date', '2026-08-14 09:00');
    await visitor.pick('Save');
    await visitor.choose('Add a point');
    // A short reference in the square of the start.
    await typedPoint(visitor, 'Gauge 2', '6788 0614');
    await visitor.reads(
      '[data-testid=legs-of-route]',
      /1\. To Gauge 2!?08\d° magnetic5\d\d m3\d\d paces/,
    );
    await visitor.choose('Measured on the map');
    await visitor.fill('#point-name', 'Esker top');
    await visitor.fill('#point-bearing', '335');
    await visitor.fill('#point-length', '26mm');
    await visitor.fill('#point-scale', '1:10000');
    await visitor.pick('Add the point');
    await visitor.reads(
      '[data-testid=legs-of-route]',
      /2\. To Esker top!?35\d° magnetic260 m169 paces/,
    );
    await visitor.reads('[data-testid=totals]', /2 legs, .* at the end 09:\d\d, sunset/);

    // Which way does it go? The person says, and the app tells what doesn't fit.
    await visitor.choose('1. To Gauge 2');
    await visitor.reads('main', /The leg goes roughly north-east/);
    await chooseFrom(visitor, '#expect-1', 'SW');
    await visitor.reads('[data-code=other-way]', /180° error: two points swapped/);
    await visitor.pick('At the map: three ways to be wrong by exactly 180°');
    const atTheMap = /plate is turned round.*housing’s lines.*map is upside down/;
    await visitor.reads('[role=dialog]', atTheMap);
    await visitor.page.keyboard.press('Escape');
    await chooseFrom(visitor, '#expect-1', 'NE');
    await visitor.gone('[data-code=other-way]');
    await visitor.reads('[data-code=nothing-catches]', /nothing tells you that you went too far/);
  });

  it('has handrail, ticks, catching feature and dangers on its legs', async () => {
    const { visitor } = shared;
    await visitor.pick('Edit this leg');
    await visitor.fill('#leg-handrail', 'the burn on the left');
    await visitor.fill('#leg-ticks', '210m right spring\n380 trail');
    await visitor.fill('#leg-catching', 'the fen pool');
    await visitor.fill('#leg-beyond', '150');
    await visitor.fill('#leg-dangers', 'soft ground');
    await visitor.pick('Save');
    await visitor.reads('main', /210 m \(137 paces\), 09:\d\d: spring, on your right/);
    await visitor.reads('main', /If you meet the fen pool \(after \d+ m\), you went 150 m too far/);
    await visitor.reads('main', /Danger: soft ground/);
    await visitor.gone('[data-code=nothing-catches]');
    // What can't be read is reported, and nothing of it is taken.
    await visitor.fill('#leg-ticks', 'spring');
    await visitor.pick('Save');
    await visitor.reads('[role=alert]', /Can’t read “spring”. Expected a number of metres/);

    await visitor.press('Undo');
    await visitor.reads('[data-code=nothing-catches]', /nothing tells you/);
    await visitor.press('Redo');
    await visitor.reads('main', /Danger: soft ground/);
    await visitor.page.reload();
    await visitor.choose('1. To Gauge 2');
    await visitor.reads('main', /Danger: soft ground/);
  });

  it('is a text, in and out, and a text to leave with someone', async () => {
    const { visitor } = shared;
    await visitor.choose('As text');
    const field = 'textarea[aria-label="As text"]';
    const text = await visitor.value(field);
    expect(planned(text).legs.map(({ to }) => to)).toEqual(['Gauge 2', 'Esker top']);
    await visitor.fill(field, text.replace('tick 210m', 'tick'));
    await visitor.reads('[role=alert]', /Line \d+: Can’t read “right”/);
    await visitor.fill(field, `${text}point Dock at 54.2 -63.5\n  aim left 100T the lake shore\n`);
    await visitor.pick('Use this text');
    await visitor.reads('[data-testid=legs-of-route]', /3\. To Dock/);
    await visitor.choose('3. To Dock');
    await visitor.reads('main', /Aim off: Set \d+° magnetic: you meet the lake shore to the left/);
    await visitor.choose('Plan for your contact');
    await visitor.reads('[data-testid=leave]', /Start: Dock \(54\.20000 -63\.50000\)/);
  });

  it('takes climbs from a file of heights, all at once, and gives them back', async () => {
    const { visitor } = shared;
    const totals = '[data-testid=totals]';
    await visitor.choose('Heights');
    const wrong = join(folder, 'N54W064.hgt');
    writeFileSync(wrong, 'no heights');
    await offerFile(visitor, 'Choose elevation files', wrong);
    await visitor.reads(
      '[role=alert]',
      /N54W064\.hgt: .*1201 or 3601 posts a side; this file has 10 bytes/,
    );
    await offerFile(visitor, 'Choose elevation files', 'demo/ormsay-lake.asc');
    const heights = '[data-testid=heights]';
    await visitor.reads(heights, /taken for UTM zone 20 north, the grid of this route/);
    await visitor.reads(heights, /To Gauge 2: 2\d m up, 0 m down; steepest \d°, after \d+ m/);
    expect(await visitor.text(totals)).not.toMatch(/ up, /);
    await visitor.pick('Add to 3 legs');
    await visitor.reads(totals, /\d\d m up, \d\d m down/);
    await visitor.reads(heights, /Added to 3 legs/);
    expect(await findingsInThemes(visitor)).toEqual([]);
    await visitor.press('Undo');
    await visitor.page.waitForFunction(
      (at: string) => !/ up, /.test(document.querySelector(at)!.textContent),
      {},
      totals,
    );
    // A place far away: none of its heights are in the file, and the leg stays as it is.
    await visitor.choose('Add a point');
    await typedPoint(visitor, 'Far', '55.2 -63.5');
    await visitor.choose('Heights');
    await visitor.choose('Elevation of the demo map');
    await visitor.reads(heights, /To Far: \d+ % of its heights are not in these files/);
    await visitor.pick('Add to 3 legs');
    await visitor.reads(totals, /\d\d m up, \d\d m down/);
  });

  it('is exported and imported, and printed as a card', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    const pdf = await page.pdf({ preferCSSPageSize: true });
    expect(Buffer.from(pdf).subarray(0, 5).toString()).toBe('%PDF-');
    await page.emulateMediaType('print');
    const shown = await page.$eval('main', (main) => (main as HTMLElement).innerText);
    await page.emulateMediaType('screen');
    expect(shown).toMatch(/By hand/);
    expect(shown).toMatch(/spring, on your right/);
    expect(shown).toMatch(/If you meet the fen pool/);
    expect(shown).not.toMatch(/Start a new outing on it/);

    const file = join(folder, 'elsewhere.gpx');
    writeFileSync(
      file,
      '<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><rte><name>Loop</name>' +
        '<rtept lat="54.2" lon="-63.5"><name>A</name></rtept>' +
        '<rtept lat="54.21" lon="-63.5"><name>B</name></rtept></rte></gpx>',
    );
    await visitor.goto('route');
    await visitor.reads('main', /By hand.*5 points/s);
    await offerFile(visitor, 'Import a file', file);
    await visitor.reads('[data-testid=legs-of-route]', /1\. To B.*1,113 m/s);
    writeFileSync(file, '<gpx></gpx>');
    await visitor.goto('route');
    await offerFile(visitor, 'Import a file', file);
    await visitor.reads('[role=alert]', /no place and no line/);
  });

  it('that is deleted can be restored, and one that isn’t there is reported', async () => {
    const { visitor } = shared;
    await newRoute(visitor, 'Short lived');
    await visitor.press('Delete');
    await visitor.reads('main', /This route was deleted/);
    await visitor.pick('Restore it');
    await visitor.reads('main', /Add the point where you leave/);
    await visitor.goto('route', 'nothing');
    await visitor.reads('main', /There is no such route/);
  });
});
