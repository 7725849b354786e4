import { describe, expect, it } from 'vitest';
import { sharedVisitor, type Visitor } from '../support/browser/visitor';

const SENTENCE = 'header a[href^="/declination"]';

/** A new outing with its settings open at the guided questions. */
async function guided(visitor: Visitor) {
  await visitor.open(['date 2026-08-14']);
  await visitor.click('Settings');
  await visitor.choose('Help me choose');
  return visitor;
}

async function answer(visitor: Visitor, words: string) {
  await visitor.choose(words);
  await next(visitor);
}

async function next(visitor: Visitor) {
  const button = await visitor.page.waitForSelector('.ant-modal .ant-btn-primary:not([disabled])', {
    visible: true,
  });
  // Without the mouse: a dialog that is still sliding in would move away from it.
  await button!.evaluate((element) => (element as HTMLElement).click());
}

/** Uses what the questions end in, and waits until the dialogs are gone. */
async function use(visitor: Visitor, sentence: RegExp) {
  await visitor.reads('.ant-modal [data-testid=outlook]', sentence);
  await next(visitor);
  await visitor.gone('.ant-drawer-open');
  await visitor.reads(SENTENCE, sentence);
}

describe('the guided choice', () => {
  const shared = sharedVisitor();

  it('no map: magnetic only, and a map bearing is then refused and says what to do', async () => {
    const visitor = await guided(shared.visitor);
    await answer(visitor, 'No, compass and paces only');
    await use(visitor, /^Magnetic only, no map\. Bearings and way home are magnetic/);
    await visitor.log('000 100m');
    await visitor.type('045G 50m');
    await visitor.interprets(/from grid north can’t be used.*Set the declination first/);
    await visitor.choose('Settings');
    await visitor.page.waitForSelector('.ant-drawer-open', { visible: true });
  });

  it('a plain compass, the model at a pasted place: declination applied, grid map', async () => {
    const visitor = await guided(shared.visitor);
    await answer(visitor, 'Yes');
    await answer(visitor, 'Nothing: it reads magnetic bearings');
    await answer(visitor, 'The grid lines');
    await visitor.choose('I don’t: compute it from the place and the date');
    await visitor.fill('.ant-modal #set-place', '95 10');
    await visitor.reads('.ant-modal', /A latitude must be -90 to 90; this is 95/);
    expect(await visitor.page.$('.ant-modal .ant-btn-primary[disabled]')).not.toBeNull();
    await visitor.fill('.ant-modal #set-place', '20U MF 67382 05889');
    await visitor.reads('.ant-modal', /54°12′00\.0″ N 63°30′00\.0″ W/);
    await next(visitor);
    await use(
      visitor,
      /^Declination 19\.2° W, grid convergence 0\.4° W\. Bearings and way home are magnetic/,
    );
  });

  it('an adjusted compass, the map’s margin: readings are true', async () => {
    const visitor = await guided(shared.visitor);
    await visitor.reads('.ant-modal', /Choose an answer\./);
    await answer(visitor, 'Yes');
    await answer(visitor, 'It can be adjusted, and I have adjusted it');
    await answer(visitor, 'The map’s edges, or lines that point true north');
    await visitor.choose('It is printed on the map, with a year');
    await visitor.fill('#guide-margin', '19.1');
    await visitor.reads('.ant-modal', /Did you mean 19\.1 E or 19\.1 W\?/);
    await visitor.reads('.ant-modal', /Still needed: what the map’s margin prints\./);
    await visitor.fill('#guide-margin', '19.1 W, 2024, 0 E a year');
    await next(visitor);
    await answer(visitor, 'True north, or it only says declination or variation');
    await use(visitor, /^Compass adjusted for 19\.1° W\. Bearings and way home are true/);
    await visitor.log('000 100m');
    await visitor.home('180°', /Walk 100 m/);
    // The method says it: no line has to.
    await visitor.reads('#line-0', /000°T/);
  });

  it('a fixed declination scale: the Declination view shows the mark', async () => {
    const visitor = await guided(shared.visitor);
    await answer(visitor, 'Yes');
    await answer(visitor, 'It has a fixed declination scale in the housing');
    await answer(visitor, 'The map’s edges, or lines that point true north');
    await visitor.choose('I was given it');
    await visitor.fill('#guide-angle', '19.1 W');
    await next(visitor);
    await answer(visitor, 'True north, or it only says declination or variation');
    await use(visitor, /Bearings and way home are true/);
    await visitor.page.click(SENTENCE);
    await visitor.reads(
      '[data-testid=mark]',
      /Bring the needle to 19\.1° W on the scale, 19\.1° left of N/,
    );
  });

  it('ignored, and a map with magnetic meridians', async () => {
    const visitor = await guided(shared.visitor);
    await answer(visitor, 'Yes');
    await answer(visitor, 'The declination is small here: I ignore it');
    await visitor.choose('I was given it');
    await visitor.fill('#guide-angle', '1.2 E');
    await next(visitor);
    await use(visitor, /Declination 1\.2° E, ignored/);
    await visitor.log('000 1km');
    await visitor.page.click(SENTENCE);
    await visitor.reads(
      '[data-testid=cost]',
      /21 m off for every kilometre.*0 m, it cancels.*the map: 21 m off/,
    );
    await visitor.choose('Settings');
    await visitor.choose('Help me choose');
    await answer(visitor, 'Yes, and its north lines are magnetic');
    await visitor.choose('I was given it');
    await next(visitor);
    await visitor.reads('.ant-modal [data-testid=outlook]', /^Map with magnetic meridians/);
    await next(visitor);
    await visitor.reads('[data-testid=declination-sentence]', /^Map with magnetic meridians/);
  });
});

describe('the declination settings', () => {
  const shared = sharedVisitor();

  it('say what another declination changes, and warn when the model disagrees', async () => {
    const { visitor } = shared;
    await visitor.open([
      'date 2026-08-14',
      'start Dock at 54.2 -63.5',
      'declination 19.1 W',
      '000 300m',
      '090T 400m',
    ]);
    await visitor.click('Settings');
    await visitor.choose('Typed in');
    await visitor.fill('#declination-angle', '19.1');
    await visitor.reads('.ant-drawer-open', /Did you mean 19\.1 E or 19\.1 W\?/);
    await visitor.fill('#declination-angle', '19.1 E');
    await visitor.reads('.ant-drawer-open [data-testid=outlook]', /East and west swapped\?/);
    await visitor.reads(
      '.ant-drawer-open [data-testid=outlook]',
      /The 2 readings stay as read\. Way home before: \d{3}° magnetic, \d+ m\. Now: \d{3}°/,
    );
    await visitor.reads(
      '.ant-drawer-open [data-testid=outlook]',
      /\d+ m\. On the map you are 1\d\d m from where you were shown before/,
    );
    await visitor.click('Save');
    await visitor.gone('.ant-drawer-open');
    await visitor.reads('[data-code=angle-disagrees]', /19\.1° E, but WMM2025 gives 19\.2° W/);
    await visitor.log('declination 19.1 W');
    await visitor.interprets(
      /Saved: declination 19\.1 W\. The 2 readings stay as read\. Way home before/,
    );
    await visitor.reads('#line-0', /000°/);
    await visitor.reads('#line-1', /090°T/);
  });

  it('take the device’s position or a simulated one, and say when it is refused', async () => {
    const { visitor } = shared;
    await visitor.open([]);
    await visitor.context.overridePermissions(visitor.url, []);
    await visitor.click('Settings');
    await visitor.choose('Use this device’s position');
    await visitor.reads('.ant-drawer-open', /may not use the position/);
    await visitor.context.overridePermissions(visitor.url, ['geolocation']);
    await visitor.page.setGeolocation({ latitude: -33.9, longitude: 151.2, accuracy: 12 });
    await visitor.choose('Use this device’s position');
    await visitor.reads('.ant-drawer-open', /56H 333569 6247473.*about 12 m/);
    await visitor.choose('Simulated devices, to try it out');
    await visitor.choose('Use this device’s position');
    await visitor.reads('.ant-drawer-open', /20U 4673\d\d 60058\d\d.*about 6 m/);
    await visitor.click('Save');
    await visitor.gone('.ant-drawer-open');
    await visitor.page.reload();
    await visitor.click('Settings');
    await visitor.page.waitForFunction(() =>
      document.querySelector<HTMLInputElement>('#set-place')?.value.startsWith('54.'),
    );
  });
});

describe('the Declination view', () => {
  const shared = sharedVisitor();

  it('converts a bearing, with the sum written out, and refuses what is none', async () => {
    const { visitor } = shared;
    await visitor.open(['declination 19.1 W'], 'declination');
    await visitor.reads('[data-testid=conversion]', /^071\.1° magnetic052\.0°/);
    await visitor.reads(
      '[data-testid=conversion]',
      /\+019\.1°magnetic north is 19\.1° west of true north/,
    );
    await visitor.fill('input[aria-label=Bearing]', '350');
    await visitor.reads('[data-testid=conversion]', /−360\.0°to stay between 0° and 360°=009\.1°/);
    await visitor.fill('input[aria-label=Bearing]', '8 S');
    await visitor.reads('[data-testid=conversion]', /contradict each other/);
    await visitor.fill('input[aria-label=Bearing]', '400');
    await visitor.reads('[data-testid=conversion]', /A bearing in degrees must be 0 to 360/);
  });

  it('works without a network, with the model and its chart', async () => {
    const { visitor } = shared;
    await visitor.open(['date 2026-08-14', 'start Dock at 54.2 -63.5', 'declination model']);
    await visitor.workerInstalled();
    await visitor.page.setOfflineMode(true);
    await visitor.page.reload();
    await visitor.reads(SENTENCE, /^Declination 19\.2° W/);
    await visitor.page.click(SENTENCE);
    await visitor.reads('[data-testid=declination-sentence]', /^Declination 19\.2° W/);
    const chart = await visitor.page.waitForSelector('canvas[aria-label^="Declination from"]');
    expect(await chart!.evaluate((canvas) => canvas.clientHeight)).toBeGreaterThan(100);
    await visitor.page.setOfflineMode(false);
  });
});
