import { describe, expect, it } from 'vitest';
import { chooseFrom } from '../support/browser/choose-from';
import { openSettings } from '../support/browser/settings';
import { PHONE, sharedVisitor } from '../support/browser/visitor';

describe('as practitioners do it', () => {
  const shared = sharedVisitor(PHONE);

  it('a start by a national grid: read, shown, its grid offered, and left as it is', async () => {
    const { visitor } = shared;
    await visitor.open(['220 100m']);
    await visitor.press('Settings');
    // The drawer takes the focus when it has opened: what is typed before that goes elsewhere.
    await visitor.page.waitForFunction(
      () => document.activeElement?.closest('.ant-drawer') instanceof Element,
    );
    await visitor.fill('#set-place', 'SD 805 660');
    await visitor.reads('.ant-drawer', /British National GridSD 8055 6605 \(±5 m\)/);
    await visitor.choose('Apply declination');
    await chooseFrom(visitor, '#declination-grid', 'British National Grid');
    await visitor.choose('Typed in');
    await visitor.fill('#declination-angle', '1 W');
    await visitor.pick('Save');
    await visitor.gone('.ant-drawer-open');
    await visitor.press('Settings');
    await visitor.reads('.ant-drawer', /British National GridSD 8055 6605/);
  });

  it('the angle is called variation where that is chosen', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.goto('outings');
    await openSettings(visitor);
    const selects = await page.$$('[aria-label="Units of figures"] select');
    await selects[2]!.select('variation');
    const id = await visitor.open(['declination 19.1 W', '220 100m']);
    await visitor.reads('header', /Variation 19\.1° W\./);
    await visitor.goto('declination', id);
    await visitor.reads('h1', /^Variation$/);
    await visitor.goto('outings');
    await openSettings(visitor);
    const again = await page.$$('[aria-label="Units of figures"] select');
    await again[2]!.select('declination');
  });

  it('a marked station is asked about after a sighting, and named on the way back', async () => {
    const { visitor } = shared;
    const id = await visitor.open(['pace 65 per 100 m', '000 130p > Gauge', 'mark ; orange tape']);
    await visitor.log('see 090 ; hill');
    await visitor.reads('#interpretation', /Still in sight of your mark, orange tape\?/);
    await visitor.goto('home-now', id);
    await visitor.reads('[data-testid=mark-here]', /your mark, orange tape/);
  });

  it('lost mark and lost belief have their steps in the counter and on the walk', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    const id = await visitor.open(['pace 65 per 100 m', '000 130p > Gauge', '090 130p']);
    await visitor.goto('walk', id);
    await (await page.waitForSelector('[data-testid=lost-mark] summary'))!.click();
    await visitor.reads('[data-testid=lost-mark]', /Look back.*at 045°.*Sight along 225° again/);
    // In the middle of the screen: the bar of the frame is at its foot.
    await page.$eval('[data-testid=unsure] summary', (it) =>
      it.scrollIntoView({ block: 'center' }),
    );
    await page.click('[data-testid=unsure] summary');
    await visitor.reads(
      '[data-testid=unsure]',
      /After 28\d m you may be \d+ m off your line \(95 %\)/,
    );
    await visitor.goto('counter', id);
    await visitor.reads('[data-testid=unsure]', /Trust the figures/);
  });

  it('a step off asks which way the path runs, and says where to look', async () => {
    const { visitor } = shared;
    await visitor.goto('step-off');
    await visitor.fill('#place', 'dead birch');
    await visitor.fill('#bearing', '330');
    await visitor.fill('#path', '999');
    await visitor.reads('main', /leave it empty where there is no path/);
    await visitor.fill('#path', '060');
    await visitor.pick('Go: 330°');
    await visitor.reads('[data-testid=to-path]', /060° to your left and 240° to your right/);
    await visitor.reads('[data-testid=to-path]', /follow 145° instead.*Turn right, 240°/);
  });

  it('pegs are laid between any two stations, at a scale of one’s own, in tenths', async () => {
    const { visitor } = shared;
    const id = await visitor.open(['000 100m > Alder', '090 130m > Birch', '180 60m > Cedar']);
    await visitor.goto('pegs', id);
    await chooseFrom(visitor, '#pegs-from', 'Alder');
    await visitor.fill('#own-scale', '25');
    await visitor.reads('main', /Not used: the scale is your own/);
    await visitor.choose('tenths');
    await visitor.reads('[data-testid=pegs]', /Alder090°130 m5\.2Birch.*Birch180°60 m2\.4Cedar/);
    await visitor.reads('[data-testid=closing]', /295° and 5\.7 units/);
  });

  it('orienting the map is one tap from the guide', async () => {
    const { visitor } = shared;
    await visitor.goto('guide');
    await visitor.press('Orient the map');
    await visitor.reads('.ant-tabs-tab-active', /Orient/);
    expect(new URL(visitor.page.url()).pathname).toBe('/fix');
  });
});

describe('the commands', () => {
  const shared = sharedVisitor();

  it.each([
    ['gma', 'Declination: magnetic, true, grid'],
    ['romer', 'Map'],
    ['handrail', 'Route'],
  ])('find by %s what is meant', async (typed, found) => {
    const { visitor } = shared;
    await visitor.open(['220 100m']);
    await visitor.click('Commands: lines to log, and all actions');
    await visitor.fill('.ant-modal input[role=combobox]', typed);
    await visitor.reads('.ant-modal [role=option]', new RegExp(`^${found}`));
  });
});
