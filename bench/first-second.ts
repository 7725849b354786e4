import type { Page } from 'puppeteer-core';
import { launch } from '../scripts/browser.mjs';
import { freePort, startServer } from '../scripts/server.mjs';
import { spread } from './rounds';

/** A cold start without a network on a processor four times slower, beside the framework alone. */
const SLOWER = 4;
const STARTS = 7;
const LEGS = 100;
const LINE = 'input[aria-label="Next line of the log"]';

const shown = (name: string, milliseconds: readonly number[]) => {
  const { medianNanoseconds: median, lowQuartile, highQuartile } = spread(name, milliseconds);
  console.log(
    `  ${name.padEnd(52)} ${median.toFixed(0)} ms  ` +
      `(${lowQuartile.toFixed(0)} to ${highQuartile.toFixed(0)})`,
  );
  return median;
};

/** Runs in the page: true once what is at a selector answers to a person. */
function isAlive(selector: string): boolean {
  const found = document.querySelector(selector);
  return found !== null && Object.keys(found).some((key) => key.startsWith('__reactProps'));
}

/** Milliseconds from asking for a page until it is so, over several cold starts. */
async function starts(page: Page, url: string, until: (page: Page) => Promise<unknown>) {
  const samples: number[] = [];
  for (let start = 0; start < STARTS; start++) {
    await page.goto('about:blank');
    const began = performance.now();
    const went = page.goto(url).catch(() => undefined);
    await until(page);
    samples.push(performance.now() - began);
    await went;
  }
  return samples;
}

const server = await startServer({ port: await freePort() });
const browser = await launch();
const page = await browser.newPage();
await page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
await page.goto(server.url);
await (await page.waitForSelector('aria/Start an outing'))!.click();
await page.waitForSelector(LINE);
const outing = page.url();
for (let leg = 1; leg <= LEGS; leg++) {
  await page.type(LINE, `${(leg * 37) % 360} ${40 + (leg % 60)}m`);
  await page.keyboard.press('Enter');
  await page.waitForFunction(
    (at: string) => document.querySelector<HTMLInputElement>(at)!.value === '',
    {},
    LINE,
  );
}
const home = outing.replace('/outing?', '/home-now?');
await page.goto(home);
await page.evaluate(async () => {
  await navigator.serviceWorker.ready;
  while (navigator.serviceWorker.controller?.state !== 'activated') {
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
});
const client = await page.createCDPSession();
await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
const seen = (selector: string) => (at: Page) => at.waitForSelector(selector, { visible: true });
const alive = (selector: string) => (at: Page) => at.waitForFunction(isAlive, {}, selector);

console.log(
  `\nA cold start at ${SLOWER} times slower, ${LEGS} legs, without a network, ${STARTS} times:`,
);
// No page of the app is the framework alone but the one for an unknown address.
const bare = shown(
  'the framework alone, with a network (yardstick)',
  await starts(page, `${server.url}/no-such-page`, (at) => at.waitForSelector('h1, h2')),
);
await page.setOfflineMode(true);
const painted = shown(
  'Home now: the last known way home is painted',
  await starts(page, home, seen('#last-home [data-bearing]')),
);
const read = shown(
  'Home now: the log has been read',
  await starts(page, home, seen('[data-testid=answer-bearing]')),
);
const typing = shown('the outing: a line can be typed', await starts(page, outing, alive(LINE)));
console.log(
  `  ${(painted / bare).toFixed(1)}, ${(read / bare).toFixed(1)} and ` +
    `${(typing / bare).toFixed(1)} times the framework alone`,
);
await browser.close();
await server.stop();
