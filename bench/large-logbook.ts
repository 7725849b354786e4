import { launch } from '../scripts/browser.mjs';
import { freePort, startServer } from '../scripts/server.mjs';
import { blankOuting, type Outing } from '../src/core/model/outing';
import type { Leg } from '../src/core/entries/entry';
import { jsonFormat } from '../src/formats/json';
import { logbookOf } from '../src/core/model/logbook';

/** A logbook of 200 outings with 100 legs each: how long the list and the exports take. */
const OUTINGS = 200;
const LEGS = 100;
const ROUNDS = 5;

const leg = (n: number): Leg => ({
  kind: 'leg',
  bearing: { unit: 'degrees', value: (n * 37) % 360, north: 'magnetic' },
  distance: { unit: 'metres', value: 50 + (n % 200) },
  note: `leg ${n}`,
});
const outings: Outing[] = Array.from({ length: OUTINGS }, (_, k) => ({
  ...blankOuting(`large-${k}`, `Outing ${k}`),
  date: { day: '2026-08-14' },
  start: { name: 'Dock', position: { latitude: 54.2, longitude: -63.5 } },
  declination: { source: 'typed', angle: { degrees: 19.1, toward: 'W' } },
  entries: Array.from({ length: LEGS }, (_leg, n) => leg(k * LEGS + n)),
}));
const written = jsonFormat.write(logbookOf(outings, new Date().toISOString()), null);
const text = written.ok ? written.value : '';

const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
const server = await startServer({ port: await freePort() });
const browser = await launch();
const page = await browser.newPage();

/** Stores the outings: each as one change, like an import, or leg by leg, as they are logged. */
async function fill(legByLeg: boolean) {
  await page.goto(server.url);
  await page.waitForSelector('aria/Start an outing');
  await page.evaluate(
    async (book, perLeg) => {
      const { outings: all } = JSON.parse(book) as {
        outings: { id: string; entries: unknown[] }[];
      };
      const open = indexedDB.open('cairn-back');
      await new Promise((resolve) => (open.onsuccess = resolve));
      const transaction = open.result.transaction('changes', 'readwrite');
      const changes = transaction.objectStore('changes');
      changes.clear();
      const at = new Date().toISOString();
      for (const outing of all) {
        const { id, entries } = outing;
        const first = perLeg ? { ...outing, entries: [] } : outing;
        changes.add({ outing: id, number: 0, at, change: { kind: 'create', outing: first } });
        if (!perLeg) continue;
        entries.forEach((entry, index) =>
          changes.add({
            outing: id,
            number: index + 1,
            at,
            change: { kind: 'edit', operations: [{ op: 'insert', index, entries: [entry] }] },
          }),
        );
      }
      await new Promise((resolve) => (transaction.oncomplete = resolve));
      open.result.close();
    },
    text,
    legByLeg,
  );
}

console.log(`\nA logbook of ${OUTINGS} outings with ${LEGS} legs each, medians of ${ROUNDS}:`);
for (const legByLeg of [false, true]) {
  await fill(legByLeg);
  const times: number[] = [];
  const whole: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    await page.goto(server.url);
    await page.waitForSelector('main li');
    times.push(await page.evaluate(() => performance.now()));
    await page.waitForFunction(
      (count: number) => document.querySelectorAll('main li').length >= count,
      { polling: 'raf' },
      OUTINGS,
    );
    whole.push(await page.evaluate(() => performance.now()));
  }
  const how = legByLeg ? `${OUTINGS * (LEGS + 1)} changes, logged leg by leg` : 'imported';
  console.log(
    `  the list of outings shows ${median(times).toFixed(0)} ms after the page was asked for, ` +
      `its last row at ${median(whole).toFixed(0)} ms (${how})`,
  );
}
await page.goto(`${server.url}/files`);
await page.waitForSelector('#export');
await page.evaluate(() => {
  HTMLAnchorElement.prototype.click = () => undefined;
});
const BUTTONS = ['Full data (JSON)', 'GPX', 'GeoJSON', 'KML', 'Table (CSV)', 'Everything (ZIP)'];
for (const button of BUTTONS) {
  const took = await page.evaluate(async (words) => {
    const status = document.querySelector('[data-testid=exported]')!;
    const before = status.textContent;
    const began = performance.now();
    [...document.querySelectorAll('button')]
      .find(({ textContent }) => textContent === words)!
      .click();
    while (status.textContent === before) await new Promise((resolve) => setTimeout(resolve, 2));
    return performance.now() - began;
  }, button);
  console.log(`  ${button}: ${took.toFixed(0)} ms`);
}
await browser.close();
await server.stop();
process.exit(0);
