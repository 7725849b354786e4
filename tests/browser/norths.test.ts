import { describe, expect, it } from 'vitest';
import { DESK, PHONE, Visitor } from './visitor';

const SENTENCE = 'header a[href^="/norths"]';

/** A fresh outing with its set-up open at the guided questions. */
async function guided(viewport = DESK) {
  const visitor = await Visitor.arrive(viewport);
  await visitor.startOuting();
  await visitor.click('Set up');
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
  // Not by the mouse: a dialog that still slides in would move away under it.
  await button!.evaluate((element) => (element as HTMLElement).click());
}

/** Takes what the questions end in, and waits until the dialogs are gone. */
async function use(visitor: Visitor, sentence: RegExp) {
  await visitor.reads('.ant-modal [data-testid=outlook]', sentence);
  await next(visitor);
  await visitor.page.waitForSelector('.ant-drawer-open', { hidden: true });
  await visitor.reads(SENTENCE, sentence);
}

describe('the guided choice', () => {
  it('no map: magnetic all the way, and a map bearing is then refused with the way out', async () => {
    const visitor = await guided();
    await answer(visitor, 'No, compass and paces only');
    await use(visitor, /^Magnetic all the way\. Bearings are as the needle reads/);
    await visitor.log('000 100m');
    await visitor.type('045G 50m');
    await visitor.understood(/grid north can’t go in.*Set the declination first/);
    await visitor.choose('Set up');
    await visitor.page.waitForSelector('.ant-drawer-open', { visible: true });
    await visitor.leave();
  });

  it('a plain compass and the model at a pasted place: by a sum, from the grid of the map', async () => {
    const visitor = await guided();
    await answer(visitor, 'Yes');
    await answer(visitor, 'Nothing: a needle and a dial');
    await answer(visitor, 'The lines of its grid');
    await visitor.choose('I don’t: work it out from the place and the date');
    await visitor.fill('.ant-modal #set-place', '95 10');
    await visitor.reads('.ant-modal', /A latitude is -90 to 90; here stands 95/);
    expect(await visitor.page.$('.ant-modal .ant-btn-primary[disabled]')).not.toBeNull();
    await visitor.fill('.ant-modal #set-place', '20U MF 67382 05889');
    await visitor.reads('.ant-modal', /54°12′00\.0″ N 63°30′00\.0″ W/);
    await next(visitor);
    // The day is the day of the test, so only the side and the whole degree are sure for a few years.
    await use(
      visitor,
      /^Needle points 1[789]\.\d° west of true\. Grid 0\.4° west of true\. Bearings are as the needle reads/,
    );
    await visitor.leave();
  });

  it('a compass that is set, by the map’s margin: readings are from true north', async () => {
    const visitor = await guided();
    await answer(visitor, 'Yes');
    await answer(visitor, 'Its dial can be set for the angle, and I have set it');
    await answer(visitor, 'Its edges, or lines that point true north');
    await visitor.choose('It is printed on the map, with a year');
    await visitor.fill('#guide-angle', '19.1');
    await visitor.reads('.ant-modal', /Did you mean 19\.1 E or 19\.1 W\?/);
    await visitor.fill('#guide-angle', '19.1 W');
    await visitor.fill('#guide-marginDate', '2024');
    await visitor.fill('#guide-marginChange', '0 E');
    await next(visitor);
    await use(
      visitor,
      /^Compass set for 19\.1° W\. Bearings are from true north, and so is the way home/,
    );
    await visitor.log('000 100m');
    await visitor.home('180°', /Walk 100 m/);
    await visitor.reads('#line-1', /000°T/);
    await visitor.leave();
  });

  it('a scale inside the housing: the Norths view shows which mark', async () => {
    const visitor = await guided(PHONE);
    await answer(visitor, 'Yes');
    await answer(visitor, 'It has a small scale inside the housing');
    await answer(visitor, 'Its edges, or lines that point true north');
    await visitor.choose('I was told it');
    await visitor.fill('#guide-angle', '19.1 W');
    await next(visitor);
    await use(visitor, /Bearings are from true north, and so is the way home/);
    await visitor.page.click(SENTENCE);
    await visitor.reads(
      '[data-testid=mark]',
      /Bring the needle to 19\.1° W on the scale, 19\.1° left of N/,
    );
    await visitor.leave();
  });

  it('left out, and a map drawn for the needle', async () => {
    const visitor = await guided();
    await answer(visitor, 'Yes');
    await answer(visitor, 'The angle is small here: I leave it out');
    await visitor.choose('I was told it');
    await visitor.fill('#guide-angle', '1.2 E');
    await next(visitor);
    await use(visitor, /The needle’s angle, 1\.2° east of true, is left out/);
    await visitor.log('000 1km');
    await visitor.page.click(SENTENCE);
    await visitor.reads(
      '[data-testid=cost]',
      /21 m off for every kilometre.*0 m, it cancels.*21 m off at home/,
    );
    await visitor.choose('Set up');
    await visitor.choose('Help me choose');
    await answer(visitor, 'Yes, and its north lines are drawn for the needle');
    await visitor.choose('I was told it');
    await next(visitor);
    await visitor.reads(
      '.ant-modal [data-testid=outlook]',
      /^The map is drawn to the needle’s north/,
    );
    await next(visitor);
    await visitor.reads('[data-testid=norths-sentence]', /^The map is drawn to the needle’s north/);
    await visitor.leave();
  });
});

describe('the set-up of the norths', () => {
  it('says what another angle changes, warns when it disagrees, and changes no reading', async () => {
    const visitor = await Visitor.arrive();
    await visitor.startOuting();
    for (const line of [
      'date 2026-08-14',
      'start Dock at 54.2 -63.5',
      'declination 19.1 W',
      '000 300m',
      '090T 400m',
    ])
      await visitor.log(line);
    await visitor.click('Set up');
    await visitor.choose('Typed in');
    await visitor.fill('#norths-angle', '19.1');
    await visitor.reads('.ant-drawer-open', /Did you mean 19\.1 E or 19\.1 W\?/);
    await visitor.fill('#norths-angle', '19.1 E');
    await visitor.reads('.ant-drawer-open [data-testid=outlook]', /East and west swapped\?/);
    await visitor.reads(
      '.ant-drawer-open [data-testid=outlook]',
      /The 2 readings stay as read\. The way home was \d{3}° as the needle reads, \d+ m; now \d{3}° as the needle reads, \d+ m\. On the map you are 1\d\d m from/,
    );
    await visitor.click('Save');
    await visitor.page.waitForSelector('.ant-drawer-open', { hidden: true });
    await visitor.reads('[data-code=angle-disagrees]', /19\.1° E, and WMM2025 says 19\.2° W/);
    await visitor.log('declination 19.1 W');
    await visitor.understood(
      /Saved: declination 19\.1 W\. The 2 readings stay as read\. The way home was/,
    );
    await visitor.reads('#line-0', /000°/);
    await visitor.reads('#line-1', /090°T/);
    await visitor.leave();
  });

  it('takes the device’s position or a simulated one, and says when it is refused', async () => {
    const visitor = await Visitor.arrive();
    await visitor.startOuting();
    await visitor.context.overridePermissions(visitor.url, []);
    await visitor.click('Set up');
    await visitor.choose('Use this device’s position');
    await visitor.reads('.ant-drawer-open', /may not tell the position/);
    await visitor.context.overridePermissions(visitor.url, ['geolocation']);
    await visitor.page.setGeolocation({ latitude: -33.9, longitude: 151.2, accuracy: 12 });
    await visitor.choose('Use this device’s position');
    await visitor.reads('.ant-drawer-open', /56H 333569 6247473.*Good to about 12 m/);
    await visitor.choose('A simulated device, to try it out');
    await visitor.choose('Use this device’s position');
    await visitor.reads('.ant-drawer-open', /20U 4673\d\d 60058\d\d.*Good to about 6 m/);
    await visitor.click('Save');
    await visitor.page.waitForSelector('.ant-drawer-open', { hidden: true });
    await visitor.page.reload();
    await visitor.click('Set up');
    await visitor.page.waitForFunction(() =>
      document.querySelector<HTMLInputElement>('#set-place')?.value.startsWith('54.'),
    );
    await visitor.leave();
  });
});

describe('the Norths view', () => {
  it('turns a bearing with the sum written out, and refuses what is none', async () => {
    const visitor = await Visitor.arrive();
    await visitor.startOuting();
    await visitor.log('declination 19.1 W');
    await visitor.page.click(SENTENCE);
    await visitor.reads('[data-testid=conversion]', /^071\.1° as the needle reads052\.0°/);
    await visitor.reads(
      '[data-testid=conversion]',
      /\+019\.1°the needle’s north lies 19\.1° west of true north/,
    );
    await visitor.fill('input[aria-label=Bearing]', '350');
    await visitor.reads('[data-testid=conversion]', /−360\.0°to stay within the circle=009\.1°/);
    await visitor.fill('input[aria-label=Bearing]', '8 S');
    await visitor.reads('[data-testid=conversion]', /contradict each other/);
    await visitor.fill('input[aria-label=Bearing]', '400');
    await visitor.reads('[data-testid=conversion]', /A bearing in degrees is 0 to 360/);
    await visitor.leave();
  });

  it('works without a network, the model and the curve with it', async () => {
    const visitor = await Visitor.arrive();
    await visitor.startOuting();
    for (const line of ['date 2026-08-14', 'start Dock at 54.2 -63.5', 'declination model'])
      await visitor.log(line);
    await visitor.page.waitForFunction(
      async () => (await navigator.serviceWorker.ready).active?.state === 'activated',
    );
    await visitor.page.setOfflineMode(true);
    await visitor.page.reload();
    await visitor.reads(SENTENCE, /^Needle points 19\.2° west of true/);
    await visitor.page.click(SENTENCE);
    await visitor.reads('[data-testid=norths-sentence]', /^Needle points 19\.2° west/);
    const chart = await visitor.page.waitForSelector('canvas[aria-label^="Declination from"]');
    expect(await chart!.evaluate((canvas) => canvas.clientHeight)).toBeGreaterThan(100);
    await visitor.page.setOfflineMode(false);
    await visitor.leave();
  });
});
