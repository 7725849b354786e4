import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { launch } from '../../scripts/browser.mjs';
import { dice } from './mutated-files';

/** What came of killing the browser while legs were logged. */
export interface KillTally {
  kills: number;
  /** Legs that the screen had said were saved when the browser died. */
  acknowledged: number;
  /** Legs that stood in the store beyond those: written, and killed before it could be said. */
  unsaid: number;
  /** Acknowledged legs that were not there afterwards, or not as they were logged. */
  lost: string[];
}

const LINE = 'input[aria-label="Next line of the log"]';
/** The n-th leg that is logged, so that each can be told from every other. */
const legText = (n: number) => `${String(n % 360).padStart(3, '0')} ${n + 1}m`;

/** The journal's legs as they stand in the store, in order: bearing and metres. */
const legsInStore = (page: Page, outing: string): Promise<[number, number][]> =>
  page.evaluate(
    (id) =>
      new Promise<[number, number][]>((resolve, reject) => {
        const open = indexedDB.open('cairn-back');
        open.onerror = () => reject(new Error('the database can’t be opened'));
        open.onsuccess = () => {
          const all = open.result.transaction('changes').objectStore('changes').getAll();
          all.onsuccess = () => {
            open.result.close();
            const records = all.result as {
              outing: string;
              change: {
                operations?: {
                  entries?: {
                    kind: string;
                    bearing: { value: number };
                    distance: { value: number };
                  }[];
                }[];
              };
            }[];
            resolve(
              records
                .filter((record) => record.outing === id)
                .flatMap(({ change }) => change.operations ?? [])
                .flatMap(({ entries }) => entries ?? [])
                .filter(({ kind }) => kind === 'leg')
                .map(({ bearing, distance }) => [bearing.value, distance.value]),
            );
          };
        };
      }),
    outing,
  );

/**
 * Logs legs through the entry line as fast as the app takes them, and calls back for each that the screen says is saved. Written
 * without functions of its own: a runner that names them would break it on its way into the page.
 */
const logLegs = (page: Page, first: number): Promise<void> =>
  page.evaluate(
    async (selector, from) => {
      const input = document.querySelector<HTMLInputElement>(selector)!;
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
      for (let n = from; ; n++) {
        set.call(input, `${String(n % 360).padStart(3, '0')} ${n + 1}m`);
        input.dispatchEvent(new Event('input', { bubbles: true }));
        await new Promise((resolve) => setTimeout(resolve));
        input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
        while (input.value !== '') await new Promise((resolve) => setTimeout(resolve));
        (globalThis as unknown as { saved: (n: number) => void }).saved(n);
      }
    },
    LINE,
    first,
  );

/** Kills the browser's processes at random moments while legs are logged, over and over on the same store. */
export async function killRun(
  url: string,
  kills: number,
  seed: number,
  onKill: (tally: KillTally) => void = () => undefined,
): Promise<KillTally> {
  const roll = dice(seed);
  const tally: KillTally = { kills: 0, acknowledged: 0, unsaid: 0, lost: [] };
  const userDataDir = mkdtempSync(join(tmpdir(), 'kill-run-'));
  let outing = '';
  let logged = 0;
  const start = async (): Promise<{ browser: Browser; page: Page }> => {
    const browser = await launch({ userDataDir });
    const page = await browser.newPage();
    return { browser, page };
  };
  try {
    while (tally.kills < kills) {
      const { browser, page } = await start();
      let said = logged;
      await page.exposeFunction('saved', (n: number) => (said = n + 1));
      if (outing === '') {
        await page.goto(url);
        await (await page.waitForSelector('aria/Start an outing'))!.click();
        await page.waitForSelector(LINE);
        outing = new URL(page.url()).searchParams.get('id')!;
      } else await page.goto(`${url}/outing?id=${outing}`);
      await page.waitForSelector(LINE);
      let broken: unknown = null;
      const died = logLegs(page, logged).catch((error: unknown) => {
        if (browser.connected) broken = error;
      });
      await new Promise((resolve) => setTimeout(resolve, 30 + roll(700)));
      if (broken) throw broken;
      browser.process()!.kill('SIGKILL');
      await died;
      tally.kills++;

      const after = await start();
      await after.page.goto(`${url}/guide`);
      const found = await legsInStore(after.page, outing);
      for (let n = logged; n < said; n++) {
        const [bearing, metres] = found[n] ?? [NaN, NaN];
        if (bearing !== n % 360 || metres !== n + 1) {
          tally.lost.push(`kill ${tally.kills}: leg ${legText(n)}, found ${bearing} ${metres}m`);
        }
      }
      tally.acknowledged += said - logged;
      tally.unsaid += Math.max(0, found.length - said);
      logged = found.length;
      await after.browser.close();
      onKill(tally);
    }
  } finally {
    rmSync(userDataDir, { recursive: true, force: true, maxRetries: 5 });
  }
  return tally;
}
