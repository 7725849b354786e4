import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { launch } from '../../scripts/browser.mjs';
import { dice } from './mutated-files';
import { allRecords, storedLegs } from './stored';

/** The result of killing the browser while legs were logged. */
export interface KillTally {
  kills: number;
  /** Legs that the screen had said were saved when the browser died. */
  acknowledged: number;
  /** Paces of the counter that the screen had shown. */
  taps: number;
  /** Legs that were stored beyond those: written, and killed before the screen said so. */
  unsaid: number;
  /** Acknowledged legs that were not there afterwards, or not as they were logged. */
  lost: string[];
}

const LINE = 'input[aria-label="Next line of the log"]';
/** The n-th leg that is logged, so that each can be distinguished from every other. */
const legText = (n: number) => `${String(n % 360).padStart(3, '0')} ${n + 1}m`;

/** The legs in the change log, in order: bearing and metres. */
const legsInStore = async (page: Page, outing: string): Promise<[number, number][]> =>
  (await storedLegs(page, outing)).map(({ bearing, metres }) => [bearing, metres]);

/**
 * Logs legs through the entry line as fast as the app takes them, and calls back for each that the
 * screen says is saved.
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

/**
 * The same by the keypad: its keys, its button. A leg counts as saved once the sketch
 * has it, which draws nothing that isn't.
 */
const keyLegs = (page: Page, first: number): Promise<void> =>
  page.evaluate(async (from) => {
    const later = () => new Promise((resolve) => setTimeout(resolve));
    const all = (selector: string) => [...document.querySelectorAll<HTMLElement>(selector)];
    const press = async (selector: string, text: RegExp) => {
      for (;;) {
        const found = all(selector).find(
          (each) =>
            text.test(each.getAttribute('aria-label') ?? each.textContent ?? '') &&
            !(each as HTMLButtonElement).disabled,
        );
        if (found) return found.click();
        await later();
      }
    };
    const keys = async (digits: string) => {
      for (const digit of digits) {
        await press('[data-keypad] [aria-label="Number pad"] button', new RegExp(`^${digit}$`));
        await later();
      }
    };
    const drawn = () => Number(all('[data-testid=route]')[0]?.dataset.legs);
    const shown = (part: string) => all(`[data-testid=keypad-${part}]`)[0]?.textContent;
    if (all('[data-keypad]').length === 0) await press('button', /^Keypad/);
    while (shown('bearing') === undefined) await later();
    // What was on the keys when the browser was killed is still there.
    while (shown('bearing') !== '–' || shown('count') !== '–') {
      await press('[data-keypad] button', /^Erase$/);
      await later();
    }
    while (!all('[data-keypad] button').some((each) => /: metres$/.test(each.textContent ?? ''))) {
      await press('[data-keypad] button', /^Unit of the count/);
      await later();
    }
    for (let n = from; ; n++) {
      await keys(String(n % 360).padStart(3, '0'));
      await keys(String(n + 1));
      const before = drawn();
      await press('[data-keypad] button', /^Log it$/);
      while (drawn() === before) await later();
      (globalThis as unknown as { saved: (n: number) => void }).saved(n);
      while (shown('bearing') !== '–') await later();
    }
  }, first);

/** Taps the counter, and calls back with each count that the screen shows. */
const tapCounter = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    const later = () => new Promise((resolve) => setTimeout(resolve));
    const shown = () => Number(document.querySelector('[data-testid=counted]')?.textContent);
    for (;;) {
      const before = shown();
      document.querySelector<HTMLElement>('[data-tap]')!.click();
      while (shown() === before) await later();
      (globalThis as unknown as { saved: (n: number) => void }).saved(shown());
    }
  });

/** The paces of a count in the store. */
async function countInStore(page: Page, outing: string): Promise<number> {
  type Stored = { count: string; line: { kind: string; by?: number } };
  return (await allRecords<Stored>(page, 'counts'))
    .filter(({ count, line }) => count === outing && line.kind === 'paces')
    .reduce((sum, { line }) => sum + (line.by ?? 0), 0);
}

/** Fewest legs that are logged before a kill, and how many more there may be. */
const LEAST_LEGS = 3;
const MORE_LEGS = 10;
/** A kill comes at most this long after the last of them: it may hit the middle of a write. */
const LATEST_KILL_MS = 40;

/** How legs are logged, or paces counted, when the kill comes: in turn. */
const WAYS = ['entry-line', 'keypad', 'counter'] as const;

/** Waits for so many calls of `saved`; tells the last one. */
async function savedIn(page: Page, from: number) {
  let said = from;
  let waiting: { wanted: number; resolve: () => void } | null = null;
  await page.exposeFunction('saved', (n: number) => {
    said = n;
    if (waiting && said >= waiting.wanted) waiting.resolve();
  });
  return {
    last: () => said,
    reaches: (wanted: number) =>
      new Promise<void>((resolve) => {
        waiting = { wanted, resolve };
        if (said >= wanted) resolve();
      }),
  };
}

interface Started {
  readonly browser: Browser;
  readonly page: Page;
}

/** A killed browser and its store, over and over. */
class KillRun {
  readonly tally: KillTally = { kills: 0, acknowledged: 0, taps: 0, unsaid: 0, lost: [] };
  private readonly userDataDir = mkdtempSync(join(tmpdir(), 'kill-run-'));
  private outing = '';
  private logged = 0;
  private counted = 0;
  private next: Started | null = null;

  constructor(
    private readonly url: string,
    private readonly roll: (below: number) => number,
  ) {}

  /** Logs by a way, kills the browser, and looks what is there. */
  async kill(way: (typeof WAYS)[number]): Promise<void> {
    const { browser, page } = await this.started();
    const isCounter = way === 'counter';
    const before = isCounter ? this.counted : this.logged - 1;
    const saved = await savedIn(page, before);
    await this.open(page, isCounter ? 'counter' : 'outing');
    const working =
      way === 'counter'
        ? tapCounter(page)
        : (way === 'keypad' ? keyLegs : logLegs)(page, this.logged);
    const died = working.catch((error: unknown) => {
      if (browser.connected) throw error;
    });
    const wanted = before + LEAST_LEGS + this.roll(MORE_LEGS);
    await Promise.race([saved.reaches(wanted), died]);
    await new Promise((resolve) => setTimeout(resolve, this.roll(LATEST_KILL_MS)));
    browser.process()!.kill('SIGKILL');
    await died;
    this.tally.kills++;
    this.next = await this.start();
    await this.next.page.goto(`${this.url}/guide`);
    if (isCounter) await this.checkCount(this.next.page, saved.last());
    else await this.checkLegs(this.next.page, saved.last() + 1);
  }

  private async checkCount(page: Page, said: number): Promise<void> {
    const found = await countInStore(page, this.outing);
    if (found < said) this.tally.lost.push(`kill ${this.tally.kills}: ${found} of ${said} paces`);
    this.tally.taps += said - this.counted;
    this.counted = found;
  }

  private async checkLegs(page: Page, said: number): Promise<void> {
    const { tally, logged } = this;
    const found = await legsInStore(page, this.outing);
    for (let n = logged; n < said; n++) {
      const [bearing, metres] = found[n] ?? [NaN, NaN];
      if (bearing !== n % 360 || metres !== n + 1) {
        tally.lost.push(`kill ${tally.kills}: leg ${legText(n)}, found ${bearing} ${metres}m`);
      }
    }
    tally.acknowledged += said - logged;
    tally.unsaid += Math.max(0, found.length - said);
    this.logged = found.length;
  }

  /** The browser that looked what was there goes on with it, and is the next to die. */
  private async started(): Promise<Started> {
    const started = this.next ?? (await this.start());
    this.next = null;
    return started;
  }

  private async start(): Promise<Started> {
    const browser = await launch({ userDataDir: this.userDataDir });
    const page = await browser.newPage();
    // A runner that keeps the names of functions calls this in what it sends into the page.
    await page.evaluateOnNewDocument('globalThis.__name = (given) => given');
    return { browser, page };
  }

  /** Opens a view of the outing, which is started first. */
  private async open(page: Page, view: 'outing' | 'counter'): Promise<void> {
    if (this.outing === '') {
      await page.goto(this.url);
      await (await page.waitForSelector('aria/Start an outing'))!.click();
      await page.waitForSelector(LINE);
      this.outing = new URL(page.url()).searchParams.get('id')!;
    }
    await page.goto(`${this.url}/${view}?id=${this.outing}`);
    await page.waitForSelector(view === 'outing' ? LINE : '[data-tap]');
    // The count of before is shown once it is read.
    if (view === 'counter') {
      const counted = String(this.counted);
      await page.waitForFunction(
        (wanted) => document.querySelector('[data-testid=counted]')?.textContent === wanted,
        {},
        counted,
      );
    }
  }

  async end(): Promise<void> {
    await this.next?.browser.close();
    rmSync(this.userDataDir, { recursive: true, force: true, maxRetries: 5 });
  }
}

/**
 * Kills the browser while legs are logged or paces counted, over and over on the same store: each
 * time after a random number of saved ones, at a random moment of the next one.
 */
export async function killRun(
  url: string,
  kills: number,
  seed: number,
  onKill: (tally: KillTally) => void = () => undefined,
): Promise<KillTally> {
  const run = new KillRun(url, dice(seed));
  try {
    while (run.tally.kills < kills) {
      await run.kill(WAYS[run.tally.kills % WAYS.length]!);
      onKill(run.tally);
    }
  } finally {
    await run.end();
  }
  return run.tally;
}
