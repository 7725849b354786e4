import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { AxeResults } from 'axe-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort, startServer } from '../../scripts/server.mjs';
import { DESK, PHONE, Visitor } from './visitor';

const axeSource = readFileSync(
  createRequire(import.meta.url).resolve('axe-core/axe.min.js'),
  'utf8',
);

/** What axe finds on the page as it stands, a line a finding. */
async function findings({ page }: Visitor): Promise<string[]> {
  // Through the debugger: the page's own policy would not let a script in.
  await page.evaluate(axeSource);
  const results = (await page.evaluate('axe.run()')) as AxeResults;
  return results.violations.flatMap(({ id, nodes }) =>
    nodes.map((node) => `${id}: ${node.html.slice(0, 120)} ${node.failureSummary?.slice(0, 160)}`),
  );
}

/** The other views of an outing, each with a heading of its parts. */
const VIEWS = [
  '/norths',
  '/paces',
  '/count',
  '/step-off',
  '/way',
  '/walk',
  '/paper',
  '/pegs',
  '/guide',
  '/files',
];

/** Waits until nothing moves: half-faded text has no fair contrast. */
const still = ({ page }: Visitor) =>
  page.waitForFunction(() =>
    document.getAnimations().every((each) => each.playState !== 'running'),
  );

let demo: Awaited<ReturnType<typeof startServer>>;
beforeAll(async () => {
  demo = await startServer({ port: await freePort(), demo: true });
});
afterAll(() => demo.stop());

/** Someone who has the demo outing open, in a light. */
async function withDemo(viewport: typeof DESK, light: string) {
  const visitor = await Visitor.arrive(viewport, demo.url);
  await visitor.page.evaluateOnNewDocument(
    (chosen: string) => localStorage.setItem('cairn-light', chosen),
    light,
  );
  await visitor.page.goto(demo.url);
  await visitor.reads('main', /Rain gauges, first day/);
  return visitor;
}
const openDemo = async (visitor: Visitor) => {
  await visitor.page.click('a[href^="/outing"]');
  await visitor.page.waitForSelector('[data-testid=home-sentence]');
};

describe('everyone can use it', () => {
  it.each(['day', 'dark', 'night'])(
    'axe finds nothing by %s, on the shelf, the spread and its dialogs',
    async (light) => {
      const visitor = await withDemo(DESK, light);
      const { page } = visitor;
      expect(await page.$eval('html', (html) => html.dataset.light)).toBe(light);
      expect(await findings(visitor)).toEqual([]);
      await openDemo(visitor);
      expect(await findings(visitor)).toEqual([]);
      await page.click('#line-24');
      await visitor.type('8 S 65');
      await visitor.understood(/contradict/);
      expect(await findings(visitor)).toEqual([]);
      for (const [control, field] of [
        ['Set up', '#set-pace'],
        ['Fields', '.ant-modal input'],
        ['Dial and number pad', '.ant-modal [role=slider]'],
        ['More to write down', '.ant-modal [role=combobox]'],
      ] as const) {
        await visitor.click(control);
        await page.waitForSelector(field, { visible: true });
        await still(visitor);
        expect(await findings(visitor)).toEqual([]);
        await page.keyboard.press('Escape');
        await page.waitForSelector(field, { hidden: true });
      }
      for (const view of VIEWS) {
        await page.goto(`${demo.url}${view}?id=demo-rain-gauges`);
        await page.waitForSelector('main h2, main [data-tap], main p', { visible: true });
        await still(visitor);
        expect(await findings(visitor)).toEqual([]);
      }
      await visitor.leave();
    },
  );

  it('on the phone: leaves as tabs over the strip, nothing wider than the screen, and touch targets of 48 px', async () => {
    const visitor = await withDemo(PHONE, 'day');
    const { page } = visitor;
    await openDemo(visitor);
    expect(await findings(visitor)).toEqual([]);
    expect(await page.$eval('#leaf-sketch', (leaf) => getComputedStyle(leaf).display)).toBe('none');
    await visitor.click('Sketch');
    await page.waitForSelector('[data-testid=legs]', { visible: true });
    expect(await visitor.bearing()).toBe('184°');
    await visitor.click('Log');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).toBeLessThanOrEqual(390);
    const small = await page.$$eval('button, a, input:not(.visually-hidden)', (controls) =>
      controls
        .map((control) => ({
          name: control.getAttribute('aria-label') ?? control.textContent,
          ...control.getBoundingClientRect().toJSON(),
        }))
        .filter(({ width, height }) => width > 0 && (height < 48 || width < 44))
        .map(({ name, width, height }) => `${name}: ${Math.round(width)} x ${Math.round(height)}`),
    );
    expect(small).toEqual([]);

    await visitor.click('Fields');
    await page.waitForSelector('.ant-modal', { visible: true });
    const modes = await page.$$eval('.ant-modal input', (inputs) =>
      inputs.map((input) => (input as HTMLInputElement).inputMode),
    );
    expect(modes.filter((mode) => mode === 'decimal').length).toBeGreaterThanOrEqual(3);
    await visitor.fill('#bearing', '230');
    await visitor.fill('#distance', '85');
    await visitor.fill('#to', 'Camp');
    await visitor.reads(
      '.ant-modal',
      /230° as the needle reads, south-west · 85 paces, 131 m · to Camp/,
    );
    await page.click('.ant-modal .ant-btn-primary');
    await visitor.reads('#understanding', /Saved: 230 85p > Camp/);
    await visitor.leave();
  });

  it('by keyboard alone: from the shelf to a leg, its change, its removal and back', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    const tabTo = async (name: RegExp) => {
      for (let presses = 0; presses < 40; presses++) {
        await page.keyboard.press('Tab');
        const found = await page.evaluate(() => {
          const at = document.activeElement;
          return `${at?.getAttribute('aria-label') ?? ''} ${at?.textContent ?? ''}`;
        });
        if (name.test(found)) return;
      }
      throw new Error(`Tab never reached ${name}`);
    };
    await page.goto(visitor.url);
    await visitor.reads('main', /Start an outing/);
    await tabTo(/Start an outing/);
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-testid=home-sentence]');
    await tabTo(/Next line of the log/);
    await page.keyboard.type('000 100m\n');
    await visitor.understood(/^Saved: 000 100m/);
    await visitor.home('180°', /Walk 100 m/);
    await page.keyboard.type('090 100m\n');
    await visitor.home('225°', /Walk 140 m/);
    await visitor.understood(/^Saved: 090 100m/);
    await page.keyboard.down('Shift');
    await tabTo(/^Log /);
    await page.keyboard.up('Shift');
    await page.keyboard.press('End');
    await page.waitForSelector('#line-1[aria-selected=true]');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Home');
    await page.keyboard.type('180 5m ; ');
    await visitor.understood(/180°.*5 m/);
    await page.keyboard.press('Enter');
    await visitor.home('180°', /Walk 95 m/);
    await page.focus('[role=listbox]');
    await page.keyboard.press('Delete');
    await visitor.home('180°', /Walk 100 m/);
    await visitor.leave();
  });

  it('follows the system’s light until one is chosen, and keeps the choice', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
    await page.goto(visitor.url);
    const light = () => page.$eval('html', (html) => html.dataset.light);
    expect(await light()).toBe('dark');
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'light' }]);
    await page.waitForFunction(() => document.documentElement.dataset.light === 'day');
    await page.$eval('input[aria-label^="Night"]', (input) => (input as HTMLInputElement).click());
    await page.waitForFunction(() => document.documentElement.dataset.light === 'night');
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
    await page.reload();
    expect(await light()).toBe('night');
    await visitor.leave();
  });

  it('takes an outing off the shelf and puts it back', async () => {
    const visitor = await withDemo(DESK, 'day');
    await visitor.click('Take off the shelf: Rain gauges, first day');
    await visitor.reads('main', /was taken off the shelf/);
    await visitor.page.waitForSelector('aria/Open the demo outing');
    await visitor.click('Put it back');
    await visitor.reads('main', /14 legs/);
    await visitor.leave();
  });
});

describe('every response', () => {
  it('carries a strict policy and the usual headers', async () => {
    for (const path of [
      '/',
      '/outing?id=1',
      '/api/start',
      '/demo/rain-gauges.log.txt',
      '/serwist/sw.js',
      '/icons/cairn.svg',
      '/nowhere',
    ]) {
      const { headers } = await fetch(demo.url + path);
      const policy = headers.get('content-security-policy') ?? '';
      expect(policy).toContain("default-src 'self'");
      expect(/script-src [^;]*/.exec(policy)![0]).not.toContain('unsafe');
      expect(headers.get('x-content-type-options')).toBe('nosniff');
      expect(headers.get('x-frame-options')).toBe('DENY');
      expect(headers.get('referrer-policy')).toBe('no-referrer');
      expect(headers.get('x-powered-by')).toBeNull();
    }
  });

  it('of the endpoints over HTTP is as their tests say', async () => {
    const log = readFileSync('demo/rain-gauges.log.txt', 'utf8');
    const answer = await fetch(`${demo.url}/api/home`, {
      method: 'POST',
      body: log,
      headers: { 'content-type': 'text/plain' },
    });
    expect(
      Math.round(((await answer.json()) as { home: { magnetic: number } }).home.magnetic),
    ).toBe(184);
    expect((await fetch(`${demo.url}/api/home`)).status).toBe(405);
    const large = await fetch(`${demo.url}/api/home`, {
      method: 'POST',
      body: 'x'.repeat(2_100_000),
      headers: { 'content-type': 'text/plain' },
    });
    expect(large.status).toBe(413);
  });
});
