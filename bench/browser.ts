import { build } from 'esbuild';
import type { CDPSession, Page } from 'puppeteer-core';
import { launch } from '../scripts/browser.mjs';
import { freePort, startServer } from '../scripts/server.mjs';
import { spread } from './rounds';

/** What the app costs in Chromium, each figure beside a yardstick in the same run. */
const KEYSTROKES = 60;
const ADDS = 200;
const LOGGED = 20;
const SCROLLS = 60;
const SCROLL_PIXELS = 400;
const FRAME_MILLISECONDS = 16;

const shown = (name: string, milliseconds: readonly number[]) => {
  const { medianNanoseconds: median, lowQuartile, highQuartile } = spread(name, milliseconds);
  const quartiles = `${lowQuartile.toFixed(2)} to ${highQuartile.toFixed(2)}`;
  console.log(`  ${name.padEnd(52)} ${median.toFixed(2)} ms  (${quartiles})`);
  return median;
};

/** Scripts that a first visit loads, as they come over the wire. */
async function firstLoad(page: Page, url: string) {
  const client = await page.createCDPSession();
  await client.send('Network.enable');
  await client.send('Network.setBypassServiceWorker', { bypass: true });
  const scripts = new Map<string, string>();
  const sizes = new Map<string, number>();
  client.on('Network.responseReceived', ({ requestId, type, response }) => {
    if (type === 'Script') scripts.set(requestId, new URL(response.url).pathname);
  });
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    const path = scripts.get(requestId);
    if (path && !path.startsWith('/serwist')) sizes.set(path, encodedDataLength);
  });
  await page.goto(url, { waitUntil: 'networkidle0' });
  return sizes;
}

/** Main-thread milliseconds that the browser has spent on tasks since the page began. */
async function taskTime(client: CDPSession): Promise<number> {
  const { metrics } = await client.send('Performance.getMetrics');
  return metrics.find(({ name }) => name === 'TaskDuration')!.value * 1000;
}

const twoFrames = (page: Page) =>
  page.evaluate(
    () =>
      new Promise((resolve) =>
        requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(resolve))),
      ),
  );

/** Types into a field over and over; the main thread's time for each key. */
async function keystrokes(page: Page, client: CDPSession, selector: string) {
  await page.focus(selector);
  const samples: number[] = [];
  for (let i = 0; i < KEYSTROKES; i++) {
    await twoFrames(page);
    const before = await taskTime(client);
    await page.keyboard.press(i % 2 === 0 ? '5' : 'Backspace');
    await twoFrames(page);
    samples.push((await taskTime(client)) - before);
  }
  return samples;
}

/** Scrolls a list up and down; the main thread's time for each step and its two frames. */
async function scrolling(page: Page, client: CDPSession, selector: string) {
  const samples: number[] = [];
  for (let i = 0; i < SCROLLS; i++) {
    await twoFrames(page);
    const before = await taskTime(client);
    const step = i < SCROLLS / 2 ? -SCROLL_PIXELS : SCROLL_PIXELS;
    await page.$eval(selector, (list, by) => list.scrollBy(0, by), step);
    await twoFrames(page);
    samples.push((await taskTime(client)) - before);
  }
  return samples;
}

/** Logs legs; the main thread's time from Enter until each is saved and painted. */
async function logging(page: Page, client: CDPSession, selector: string) {
  const samples: number[] = [];
  for (let i = 0; i < LOGGED; i++) {
    await page.click(selector, { count: 3 });
    await page.type(selector, `${(i * 31) % 360} 55m`);
    await twoFrames(page);
    const before = await taskTime(client);
    await page.keyboard.press('Enter');
    await page.waitForFunction(
      (at: string) => document.querySelector<HTMLInputElement>(at)?.value === '',
      {},
      selector,
    );
    await twoFrames(page);
    samples.push((await taskTime(client)) - before);
  }
  return samples;
}

const server = await startServer({ port: await freePort() });
const browser = await launch();

console.log('\nFirst-load JavaScript, compressed, as it came over the wire:');
for (const [name, path] of [
  ['outings', '/'],
  ['outing', '/outing?id=none'],
  ['Home now', '/home-now?id=none'],
] as const) {
  const context = await browser.createBrowserContext();
  const sizes = await firstLoad(await context.newPage(), server.url + path);
  const total = [...sizes.values()].reduce((sum, size) => sum + size, 0);
  const parts = [...sizes.values()].sort((a, b) => b - a).map((size) => Math.round(size / 1000));
  console.log(
    `  ${name}: ${(total / 1000).toFixed(0)} kB in ${sizes.size} files (${parts.join(', ')})`,
  );
  await context.close();
}

const page = await browser.newPage();
await page.setViewport({ width: 1280, height: 800 });
await page.goto(server.url);
await page.waitForSelector('aria/Start an outing');

console.log(`\nA durable add of one leg to 1,000, ${ADDS} in turns with a raw strict add:`);
const bundle = await build({
  entryPoints: ['bench/durable-add.ts'],
  bundle: true,
  write: false,
  format: 'iife',
  target: 'es2022',
});
// A page of the same origin without the app: there would be two copies of the database library.
await page.goto(`${server.url}/demo/rain-gauges.log.txt`);
await page.evaluate(bundle.outputFiles[0]!.text);
const adds = (await page.evaluate(`durableAdds(${ADDS})`)) as { raw: number[]; store: number[] };
const raw = shown('raw IndexedDB, strict (yardstick)', adds.raw);
const store = shown('through the store: checked, written, replayed', adds.store);
console.log(`  ratio ${(store / raw).toFixed(2)}`);

console.log(
  `\nA keystroke to its painted preview at 1,000 legs, main-thread time, ${KEYSTROKES} keys:`,
);
await page.goto(server.url);
await page.waitForSelector('aria/Start an outing');
await page.evaluate(async () => {
  // The page's own database, filled as by logging: one outing with 1,000 legs.
  const request = indexedDB.open('cairn-back');
  const database = await new Promise<IDBDatabase>((resolve) => {
    request.onsuccess = () => resolve(request.result);
  });
  const entries = Array.from({ length: 1000 }, (_, i) => ({
    kind: 'leg',
    bearing: { unit: 'degrees', value: (i * 37) % 360, north: 'magnetic' },
    distance: { unit: 'metres', value: 40 + (i % 60) },
    ...(i % 10 === 0 ? { to: `Mark ${i}` } : {}),
  }));
  const outing = {
    id: 'long',
    name: 'A thousand legs',
    start: { name: 'Dock' },
    declination: { source: 'none' },
    show: { north: 'magnetic' },
    entries,
  };
  const change = { kind: 'create', outing };
  const add = database
    .transaction('changes', 'readwrite')
    .objectStore('changes')
    .add({ outing: 'long', number: 0, at: new Date().toISOString(), change });
  await new Promise((resolve) => {
    add.onsuccess = resolve;
  });
  database.close();
});
await page.goto(`${server.url}/outing?id=long`);
await page.waitForSelector('[data-testid=legs]');
const client = await page.createCDPSession();
await client.send('Performance.enable');
const line = 'input[aria-label="Next line of the log"]';
await page.type(line, '220 8');
const typed = shown(
  'into the entry line, with the preview of the leg',
  await keystrokes(page, client, line),
);

await page.$eval(line, (field) => (field as HTMLInputElement).select());
console.log(`\nLogging a leg after 1,000, Enter to saved and painted, ${LOGGED} times:`);
const logged = shown('one more leg', await logging(page, client, line));
console.log(
  `\nScrolling the log of 1,000 legs by ${SCROLL_PIXELS} px, ${SCROLLS} steps, main-thread time:`,
);
const scrolled = shown('the log pane', await scrolling(page, client, '[role=listbox]'));

const plain = await browser.newPage();
await plain.setContent(
  '<input id="plain"><div id="list" style="height:500px;overflow:auto"></div>',
);
await plain.$eval('#list', (list) => {
  list.innerHTML = Array.from({ length: 1000 }, (_, i) => `<p>${i} 220 65p 100 m</p>`).join('');
});
const plainClient = await plain.createCDPSession();
await plainClient.send('Performance.enable');
await plain.bringToFront();
const empty = shown(
  'into a bare input of an empty page (yardstick)',
  await keystrokes(plain, plainClient, '#plain'),
);
console.log(
  `  above the yardstick: ${(typed - empty).toFixed(2)} ms; a frame is ${FRAME_MILLISECONDS} ms`,
);

const list = shown(
  'a bare list of 1,000 paragraphs (yardstick)',
  await scrolling(plain, plainClient, '#list'),
);
console.log(
  `  logging ${(logged / empty).toFixed(1)} times a bare keystroke; ` +
    `scrolling ${(scrolled / list).toFixed(1)} times the bare list`,
);

await browser.close();
await server.stop();
