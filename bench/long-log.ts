import type { CDPSession, Page } from 'puppeteer-core';
import { launch } from '../scripts/browser.mjs';
import { freePort, startServer } from '../scripts/server.mjs';
import { spread } from './rounds';

/** A log of 10,000 legs: how long it takes to open, to type into, and to pan its sketch. */
const LEGS = 10_000;
const OPENED = 5;
const KEYSTROKES = 40;
const PAN_MS = 3000;
const PAN_PIXELS = 3;
/** By then what is kept for the next opening has been written. */
const SETTLED_MS = 12_000;

const server = await startServer({ port: await freePort() });
const browser = await launch({ protocolTimeout: 0 });
const page = await browser.newPage();
await page.setViewport({ width: 1280, height: 800 });

/** Stores one outing: as logged, leg by leg, or as imported, in one change. */
async function fill(id: string, isLegByLeg: boolean, legCount = LEGS) {
  await page.goto(server.url);
  await page.waitForSelector('main');
  await page.waitForFunction(() => indexedDB.databases().then((all) => all.length > 0));
  await page.evaluate(
    async (outingId, perLeg, legs) => {
      const open = indexedDB.open('cairn-back');
      await new Promise((resolve) => (open.onsuccess = resolve));
      const transaction = open.result.transaction('changes', 'readwrite');
      const changes = transaction.objectStore('changes');
      const at = new Date().toISOString();
      const entries = Array.from({ length: legs }, (_, n) => ({
        kind: 'leg',
        bearing: { unit: 'degrees', value: (n * 37 + Math.floor(n / 9)) % 360, north: 'magnetic' },
        distance: { unit: 'metres', value: 40 + (n % 60) },
        ...(n % 50 === 0 ? { to: `Mark ${n}` } : {}),
      }));
      const outing = {
        id: outingId,
        name: outingId,
        start: { name: 'Dock' },
        declination: { source: 'none' },
        show: { north: 'magnetic' },
        entries: perLeg ? [] : entries,
      };
      changes.add({ outing: outingId, number: 0, at, change: { kind: 'create', outing } });
      if (perLeg) {
        entries.forEach((entry, index) =>
          changes.add({
            outing: outingId,
            number: index + 1,
            at,
            change: { kind: 'edit', operations: [{ op: 'insert', index, entries: [entry] }] },
          }),
        );
      }
      await new Promise((resolve) => (transaction.oncomplete = resolve));
      open.result.close();
    },
    id,
    isLegByLeg,
    legCount,
  );
}

/** Milliseconds from asking for the page to the way home, and to the log and the sketch. */
async function opening(id: string) {
  await page.goto(`${server.url}/outing?id=${id}`);
  await page.waitForFunction(
    () => /\d/.test(document.querySelector('[data-testid=home-bearing]')?.textContent ?? ''),
    { polling: 'raf' },
  );
  return page.evaluate(() => performance.now());
}

const settled = () => new Promise((resolve) => setTimeout(resolve, SETTLED_MS));

const shown = (name: string, samples: readonly number[]) => {
  const { medianNanoseconds: median, lowQuartile, highQuartile } = spread(name, samples);
  const quartiles = `${lowQuartile.toFixed(1)} to ${highQuartile.toFixed(1)}`;
  console.log(`  ${name.padEnd(52)} ${median.toFixed(1)} ms  (${quartiles})`);
  return median;
};

/** Main-thread milliseconds that the browser has spent on tasks since the page began. */
async function taskTime(client: CDPSession): Promise<number> {
  const { metrics } = await client.send('Performance.getMetrics');
  return metrics.find(({ name }) => name === 'TaskDuration')!.value * 1000;
}

const twoFrames = (at: Page) =>
  at.evaluate(
    () =>
      new Promise((resolve) =>
        requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(resolve))),
      ),
  );

/** The main thread's time for each of so many actions and the two frames after it. */
async function timed(times: number, action: (turn: number) => Promise<void>) {
  const client = await page.createCDPSession();
  await client.send('Performance.enable');
  const samples: number[] = [];
  for (let turn = 0; turn < times; turn++) {
    await twoFrames(page);
    const before = await taskTime(client);
    await action(turn);
    await twoFrames(page);
    samples.push((await taskTime(client)) - before);
  }
  await client.detach();
  return samples;
}

/** Frames a second while the sketch is dragged to and fro without a rest. */
async function pan() {
  const box = (await (await page.waitForSelector('[data-testid=sketch]'))!.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  let ended = false;
  // As text: the runner would name the function in it by a helper that the page doesn't have.
  const counted = page
    .evaluate(
      `new Promise((resolve) => {
        const began = performance.now();
        let frames = 0;
        const next = (now) => {
          frames++;
          if (now - began < ${PAN_MS}) requestAnimationFrame(next);
          else resolve((1000 * frames) / (now - began));
        };
        requestAnimationFrame(next);
      })`,
    )
    .finally(() => (ended = true)) as Promise<number>;
  for (let step = 0; !ended; step++) {
    await page.mouse.move(x + PAN_PIXELS * (step % 80), y + (step % 3));
  }
  await page.mouse.up();
  return counted;
}

console.log(`\nAn outing of ${LEGS} legs, logged leg by leg, opened ${OPENED} times:`);
await fill('by-legs', true);
await fill('whole', false);
console.log(`  for the first time: ${(await opening('by-legs')).toFixed(0)} ms`);
await settled();
const [byLegs, whole]: [number[], number[]] = [[], []];
for (let turn = 0; turn < OPENED; turn++) {
  byLegs.push(await opening('by-legs'));
  whole.push(await opening('whole'));
}
const opened = shown('logged leg by leg', byLegs);
const yardstick = shown('the same, imported in one change (yardstick)', whole);
console.log(`  ratio ${(opened / yardstick).toFixed(2)}`);

await opening('by-legs');
await settled();
console.log('\nA keystroke to its painted preview, main-thread time (a frame is 16.7 ms):');
const LINE = 'input[aria-label="Next line of the log"]';
await page.type(LINE, '220 8');
shown(
  `at ${LEGS} legs`,
  await timed(KEYSTROKES, (turn) => page.keyboard.press(turn % 2 === 0 ? '5' : 'Backspace')),
);
await page.$eval(LINE, (field) => (field as HTMLInputElement).select());
await page.keyboard.press('Backspace');
console.log('\nFrames a second while the sketch is panned:');
console.log(`  at ${LEGS} legs ${(await pan()).toFixed(0)}`);
await fill('short', false, 14);
await opening('short');
console.log(`  at 14 legs (yardstick) ${(await pan()).toFixed(0)}`);
await browser.close();
await server.stop();
process.exit(0);
