import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { VIEWS } from '@/views/views';
import { freePort, startServer } from '../../scripts/server.mjs';
import { findings, findingsInThemes } from '../support/browser/axe';
import { tabTo } from '../support/browser/tab-to';
import { openSettings } from '../support/browser/settings';
import { DESK, PHONE, Visitor } from '../support/browser/visitor';

/** Waits until a view answers and shows what it is for: not nothing, nor that something loads. */
async function opened(visitor: Visitor) {
  await visitor.alive('main');
  await visitor.page.waitForFunction(() => {
    const shown = document.querySelector('main')?.innerText.trim() ?? '';
    return shown !== '' && !/^(Opening|Loading)[^\n]*…$/m.test(shown);
  });
}

let demo: Awaited<ReturnType<typeof startServer>>;
beforeAll(async () => {
  demo = await startServer({ port: await freePort(), demo: true });
});
afterAll(() => demo.stop());

/** Someone with the demo outing among the outings, in a theme. */
async function withDemo(viewport: typeof DESK, theme: string) {
  const visitor = await Visitor.arrive(viewport, demo.url);
  await visitor.page.evaluateOnNewDocument(
    (chosen: string) => localStorage.setItem('cairn-light', chosen),
    theme,
  );
  await visitor.page.goto(demo.url);
  await visitor.reads('main', /Rain gauges, first day/);
  return visitor;
}
const openDemo = async (visitor: Visitor) => {
  await visitor.page.click('a[href^="/outing"]');
  await visitor.page.waitForSelector('[data-testid=home-sentence]');
};

describe('axe finds nothing, by day, dark and night,', () => {
  it('with the outings, in every view', async () => {
    const visitor = await withDemo(DESK, 'day');
    for (const { id, path } of VIEWS) {
      const of =
        { area: 'demo-ormsay-lake', route: 'demo-plateau' }[id as string] ?? 'demo-rain-gauges';
      if (path !== '/') await visitor.goto(id, of);
      await opened(visitor);
      expect(await findingsInThemes(visitor), id).toEqual([]);
    }
    await visitor.leave();
  });

  it('in every part of a route, while it is followed, and on a picture of a map', async () => {
    const visitor = await withDemo(DESK, 'day');
    await visitor.goto('route', 'demo-plateau');
    await visitor.choose('1. To Gauge 2');
    // The heights of the demo's country come with it.
    await visitor.press('Contours from the elevation files on this device');
    await visitor.page.waitForSelector('[data-testid=ground] path[d^=M]');
    expect(await findingsInThemes(visitor), 'contours').toEqual([]);
    for (const tab of [
      'Leg',
      'Heights',
      'Day and declination',
      'As text',
      'Plan for your contact',
    ]) {
      await visitor.choose(tab);
      expect(await findingsInThemes(visitor), tab).toEqual([]);
    }
    await visitor.pick('Start a new outing on it');
    await visitor.reads('[data-testid=following]', /Next: Gauge 2/);
    expect(await findingsInThemes(visitor), 'following').toEqual([]);
    await visitor.goto('map', undefined, { pictures: '', route: 'demo-plateau' });
    await visitor.pick('Add the demo map');
    await visitor.page.waitForSelector('[data-layer=route] [data-kind=route]');
    const tools = ['Set map position', 'Measure', 'Point', 'Route', 'Lines', 'Protractor'];
    for (const mode of tools) {
      await visitor.pick(mode, '[aria-label=Tools]');
      await visitor.page.click('[data-testid=map-sheet]', { offset: { x: 500, y: 300 } });
      expect(await findingsInThemes(visitor), mode).toEqual([]);
    }
    await visitor.leave();
  });

  it('in the outing view with a fault, and in its dialogs', async () => {
    const visitor = await withDemo(DESK, 'day');
    const { page } = visitor;
    await openDemo(visitor);
    await page.click('#line-24');
    await visitor.type('8 S 65');
    await visitor.interprets(/contradict/);
    expect(await findingsInThemes(visitor)).toEqual([]);
    for (const [control, field] of [
      ['Settings', '#set-pace'],
      ['Form: a leg in separate fields', '.ant-modal input'],
      ['Keypad: dial and number keys', '[data-keypad]'],
      ['Commands: lines to log, and all actions', '.ant-modal [role=combobox]'],
    ] as const) {
      await visitor.click(control);
      await page.waitForSelector(field, { visible: true });
      expect(await findingsInThemes(visitor), control).toEqual([]);
      await page.keyboard.press('Escape');
      await visitor.gone(field);
    }
    await visitor.leave();
  });
});

/** Controls that are smaller than a finger, with their sizes. */
const smallControls = ({ page }: Visitor) =>
  page.$$eval('button, a, input:not(.visually-hidden)', (controls) =>
    controls
      .map((control) => ({
        name: control.getAttribute('aria-label') ?? control.textContent,
        ...control.getBoundingClientRect().toJSON(),
      }))
      .filter(({ width, height }) => width > 0 && (height < 48 || width < 44))
      .map(({ name, width, height }) => `${name}: ${Math.round(width)} x ${Math.round(height)}`),
  );

describe('everyone can use it', () => {
  it('on a phone: panes as tabs, nothing wider than the screen, targets of 48 px', async () => {
    const visitor = await withDemo(PHONE, 'day');
    const { page } = visitor;
    await openDemo(visitor);
    expect(await findings(visitor)).toEqual([]);
    await visitor.gone('#pane-sketch');
    await visitor.click('Sketch');
    await page.waitForSelector('[data-kind=leg]', { visible: true });
    expect(await visitor.bearing()).toBe('184°');
    await visitor.click('Log');
    expect(await smallControls(visitor)).toEqual([]);
    for (const { id } of VIEWS) {
      if (id !== 'outing') await visitor.goto(id, 'demo-rain-gauges');
      await page.waitForSelector('main', { visible: true });
      const width = await page.evaluate(() => document.documentElement.scrollWidth);
      expect(width, id).toBeLessThanOrEqual(390);
    }
    await visitor.leave();
  });

  it('on a phone: a leg in separate fields, with the number keys', async () => {
    const visitor = await withDemo(PHONE, 'day');
    const { page } = visitor;
    await openDemo(visitor);
    // On a phone the row has room for what the thumb needs: the form is one of all actions.
    await visitor.click('Commands: lines to log, and all actions');
    await visitor.fill('.ant-modal input[role=combobox]', 'a leg in fields');
    await page.waitForSelector('[role=option][aria-selected=true]');
    await page.keyboard.press('Enter');
    await page.waitForSelector('.ant-modal #bearing', { visible: true });
    const modes = await page.$$eval('.ant-modal input', (inputs) =>
      inputs.map((input) => (input as HTMLInputElement).inputMode),
    );
    expect(modes.filter((mode) => mode === 'decimal').length).toBeGreaterThanOrEqual(3);
    await visitor.fill('#bearing', '230');
    await visitor.fill('#distance', '85');
    await visitor.fill('#to', 'Camp');
    await visitor.reads('.ant-modal', /230° magnetic, south-west · 85 paces, 131 m · to Camp/);
    await page.click('.ant-modal .ant-btn-primary');
    await visitor.interprets(/Saved: 230 85p > Camp/);
    await visitor.leave();
  });

  it('by keyboard alone: from the outings to a leg, its correction, and its end', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await page.goto(visitor.url);
    await visitor.reads('main', /Start an outing/);
    await tabTo(visitor, /Start an outing/);
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-testid=home-sentence]');
    await tabTo(visitor, /Next line of the log/);
    await page.keyboard.type('000 100m\n');
    await visitor.interprets(/^Saved: 000 100m/);
    await visitor.home('180°', /Walk 100 m/);
    await page.keyboard.type('090 100m\n');
    await visitor.home('225°', /Walk 140 m/);
    await visitor.interprets(/^Saved: 090 100m/);
    await page.keyboard.down('Shift');
    await tabTo(visitor, /^Log /);
    await page.keyboard.up('Shift');
    await page.keyboard.press('End');
    await page.waitForSelector('#line-1[aria-selected=true]');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Home');
    await page.keyboard.type('180 5m ; ');
    await visitor.interprets(/180°.*5 m/);
    await page.keyboard.press('Enter');
    await visitor.home('180°', /Walk 95 m/);
    await page.focus('[role=listbox]');
    await page.keyboard.press('Delete');
    await visitor.home('180°', /Walk 100 m/);
    await visitor.leave();
  });

  it('follows the system’s theme until one is chosen, and keeps the choice', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
    await page.goto(visitor.url);
    const theme = () => page.$eval('html', (html) => html.dataset.theme);
    expect(await theme()).toBe('dark');
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'light' }]);
    await page.waitForFunction(() => document.documentElement.dataset.theme === 'day');
    await openSettings(visitor);
    await page.$eval('input[aria-label^="Night"]', (input) => (input as HTMLInputElement).click());
    await page.waitForFunction(() => document.documentElement.dataset.theme === 'night');
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
    await page.reload();
    expect(await theme()).toBe('night');
    await visitor.leave();
  });

  it('deletes an outing and restores it', async () => {
    const visitor = await withDemo(DESK, 'day');
    await visitor.click('More: what is done with Rain gauges, first day');
    await visitor.click('Delete: Rain gauges, first day');
    await visitor.reads('main', /was deleted/);
    await visitor.reads('main', /^(?!.*14 legs)/s);
    await visitor.click('Restore it');
    await visitor.reads('main', /14 legs/);
    await visitor.leave();
  });
});
