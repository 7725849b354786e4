import { afterAll, describe, expect, it } from 'vitest';
import { DESK, PHONE, sharedVisitor, Visitor } from '../../support/browser/visitor';
import { openSettings } from '../../support/browser/settings';

const OUT = ['date 2026-08-14 09:40', 'pace 65 per 100 m', 'start Dock at 54.2 -63.5', '048 200m'];

/** Taps keys of the keypad. */
async function keys({ page }: Visitor, ...names: string[]) {
  for (const name of names) {
    await page.locator(`[data-keypad] ::-p-aria([name="${name}"][role="button"])`).click();
  }
}

describe('units', () => {
  const shared = sharedVisitor(PHONE);
  afterAll(() => shared.visitor.page.evaluate(() => localStorage.removeItem('cairn-units')));

  it('are chosen once, and every view follows while the log keeps what was written', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    const id = await visitor.open(OUT);
    await visitor.home('228°', /Walk 200 m: 130 paces/);
    await visitor.goto('outings');
    await openSettings(visitor);
    await page.select('[aria-label="Units of figures"] label:nth-child(1) select', 'feet');
    // A choice is shown once it is kept; then the view begins again.
    await visitor.reads('main', /656 ft walked/);
    // The settings stay open for the next choice.
    await page.select('[aria-label="Units of figures"] label:nth-child(2) select', 'mils');
    await visitor.reads('main', /656 ft walked/);
    await visitor.goto('outing', id);
    await visitor.home('4053 mil', /Walk 655 ft: 130 paces/);
    await visitor.reads('#line-1', /0853.*200 m/);
    await visitor.goto('home-now', id);
    await visitor.reads('[data-testid=answer-bearing]', /^4053 mil$/);
    // Someone on the radio may have a compass in degrees and a map in metres.
    await visitor.reads('[data-testid=plain]', /^that is 228°, 200 m$/);
    await visitor.reads('main', /Within \d+ ft of Dock/);
    await visitor.goto('walk', id);
    await visitor.reads('[data-testid=left]', /^655 ft to Dock: 130 paces$/);
    await visitor.goto('print', id);
    await visitor.reads('main', /4053 mil \(228°\) magnetic, 655 ft \(200 m\)/);
    await visitor.goto('way-home', id);
    await visitor.reads('main', /4053 mil \(228°\) magnetic/);
    await visitor.goto('counter', id);
    await visitor.reads('main', /ft|feet/);
  });

  it('are keyed on the keypad: four digits of mils, and feet', async () => {
    const { visitor } = shared;
    await visitor.open(OUT);
    await visitor.press('Keypad: dial and number keys');
    await keys(visitor, '1', '6', '0', '0');
    await visitor.reads('[data-testid=keypad-bearing]', /1600/);
    await keys(visitor, '6', '5', 'Log it');
    await visitor.reads('[data-testid=keypad-reading]', /Saved: 1600mil 65p/);
  });

  it('are typed where a length is asked for', async () => {
    const { visitor } = shared;
    await visitor.open(OUT, 'way-home');
    await visitor.page.locator('summary ::-p-text(Sight, speed)').click();
    await visitor.reads('main', /How far away you would see it, in feet/);
    await visitor.fill('#sight', '328.08');
    await visitor.reads('main', /seeing it from 328 ft/);
    await visitor.reads('main', /Speed, mph/);
  });
});

describe('units on a desk', () => {
  it('quadrants and chains fit, in the log, the scale bar and the grid', async () => {
    const visitor = await Visitor.arrive(DESK);
    await visitor.goto('outings');
    await visitor.page.evaluate(() =>
      localStorage.setItem(
        'cairn-units',
        JSON.stringify({ lengths: 'chains', bearings: 'quadrants' }),
      ),
    );
    await visitor.open(OUT);
    await visitor.home('S48°W', /Walk 9\.9 ch: 130 paces/);
    await visitor.reads('[data-testid=scale-bar]', /^[\d.]+ ch · \d+ paces/);
    await visitor.type('S40W 5 chains 50 links');
    await visitor.reads('#interpretation', /S40°W.*5\.5 ch/);
    const wide = await visitor.page.$$eval('#line-1 span', (cells) =>
      cells.filter((cell) => cell.scrollWidth > cell.clientWidth + 1).map((it) => it.textContent),
    );
    expect(wide).toEqual([]);
    await visitor.leave();
  });
});
