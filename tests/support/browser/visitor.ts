import puppeteer, {
  type Browser,
  type BrowserContext,
  type JSHandle,
  type Page,
} from 'puppeteer-core';
import { afterAll, afterEach, beforeAll, expect, inject } from 'vitest';
import { readLines } from '@/core/log-text/read-log';
import { viewUrl, type ViewId } from '@/views/views';
import { slowStore } from './slow-store';

export const DESK = { width: 1280, height: 800 };
export const PHONE = { width: 390, height: 844, isMobile: true, hasTouch: true };
/** Both sizes, for `describe.each`. */
export const SIZES = [
  ['desk', DESK],
  ['phone', PHONE],
] as const;

export const LINE = 'input[aria-label="Next line of the log"]';

/** A state that never comes fails a test; one that comes late on a busy machine doesn't. */
const PATIENCE_MS = Number(process.env.PATIENCE_MS ?? 180_000);

/** So long waits everything that a page writes, or asks for: to find tests that go on too early. */
const SLOW_STORE_MS = Number(process.env.SLOW_STORE_MS ?? 0);
const SLOW_NETWORK_MS = Number(process.env.SLOW_NETWORK_MS ?? 0);
/** So many times slower than it is runs the processor for a page. */
const SLOW_CPU = Number(process.env.SLOW_CPU ?? 1);
const ANY = -1;

let browser: Browser;
beforeAll(async () => {
  browser = await puppeteer.connect({ browserWSEndpoint: inject('browser') });
});
afterAll(() => browser.disconnect());

/** Someone at a screen, with a browser profile of their own. Problems of the page are collected. */
export class Visitor {
  readonly problems: string[] = [];
  private readonly foreign: string[] = [];
  private outings = 0;
  /** What holds the offline worker back in every page; undefined once it was let go. */
  private hold: string | undefined;

  private constructor(
    readonly context: BrowserContext,
    readonly page: Page,
    readonly url: string,
  ) {}

  static async arrive(viewport = DESK, url = inject('url')): Promise<Visitor> {
    const context = await browser.createBrowserContext();
    const visitor = new Visitor(context, await context.newPage(), url);
    await visitor.watch(viewport);
    return visitor;
  }

  private async watch(viewport: typeof DESK) {
    const { page } = this;
    page.setDefaultTimeout(PATIENCE_MS);
    await page.setViewport(viewport);
    // Half of all people here see things move, the other half asked their system for rest.
    if (!('isMobile' in viewport)) {
      await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
    }
    const { identifier } = await page.evaluateOnNewDocument(holdWorker);
    this.hold = identifier;
    if (SLOW_STORE_MS > 0) await page.evaluateOnNewDocument(slowStore, SLOW_STORE_MS);
    if (SLOW_NETWORK_MS > 0) {
      const speeds = { download: ANY, upload: ANY };
      await page.emulateNetworkConditions({ latency: SLOW_NETWORK_MS, ...speeds });
    }
    if (SLOW_CPU > 1) await page.emulateCPUThrottling(SLOW_CPU);
    page.on('pageerror', (error) => this.problems.push(String(error)));
    page.on('console', (message) => {
      if (message.type() === 'error') this.problems.push(message.text());
    });
    page.on('request', (request) => {
      const { protocol, host } = new URL(request.url());
      if (protocol.startsWith('http') && host !== new URL(this.url).host) {
        this.foreign.push(request.url());
      }
    });
  }

  /** Another tab of the same browser profile. */
  async tab(path: string): Promise<Visitor> {
    const other = new Visitor(this.context, await this.context.newPage(), this.url);
    await other.watch(DESK);
    await other.page.goto(this.url + path);
    return other;
  }

  /** Fails if a page had a problem, or asked another server for anything. */
  expectNoProblems() {
    expect(this.problems.splice(0)).toEqual([]);
    expect(this.foreign).toEqual([]);
  }

  async leave() {
    this.expectNoProblems();
    await this.context.close();
  }

  /** Opens the start page and starts an outing there; ends on the outing. */
  async startOuting() {
    await this.page.goto(this.url);
    await this.click('Start an outing');
    await this.page.waitForSelector('[data-testid=home-sentence]');
  }

  /** Puts an outing with these lines into the store, as an import would; returns its id. */
  async store(lines: readonly string[], name = 'Test'): Promise<string> {
    const id = `test-${++this.outings}`;
    const log = readLines([`outing ${name}`, ...lines].join('\n'), id);
    if (!log.ok) throw new Error(JSON.stringify(log.fault));
    if (this.outings === 1) {
      // The start page makes the database.
      await this.goto('outings');
      await this.reads('main', /Start an outing/);
    }
    await this.page.evaluate(addRecord, {
      outing: id,
      number: 0,
      at: new Date().toISOString(),
      change: { kind: 'create', outing: log.value.outing },
    });
    return id;
  }

  /** Opens a view, of an outing if it is about one. */
  async goto(view: ViewId, id?: string, more?: Record<string, string>) {
    await this.page.goto(this.url + viewUrl(view, id, more));
  }

  /** Stores an outing with these lines and opens one of its views; returns its id. */
  async open(lines: readonly string[], view: ViewId = 'outing'): Promise<string> {
    const id = await this.store(lines);
    await this.goto(view, id);
    if (view === 'outing') await this.page.waitForSelector('[data-testid=home-sentence]');
    return id;
  }

  /** A control by the name that a screen reader would say. */
  async click(name: string) {
    const control = await this.page.waitForSelector(`aria/${name}`, { visible: true });
    await control!.click();
  }

  /** The same without a mouse, for what is still moving or partly out of view. */
  async press(name: string) {
    const control = await this.page.waitForSelector(`aria/${name}`, { visible: true });
    await control!.evaluate((element) => (element as HTMLElement).click());
  }

  /**
   * Waits until what is at a selector answers: a page shows before its script has taken hold of it,
   * and a key that comes in between is lost. React leaves its mark on what it has taken.
   */
  async alive(selector: string) {
    await this.page.waitForFunction(isAlive, {}, selector);
  }

  /** A choice by the words beside it. */
  async choose(words: string) {
    const choice = await this.page.waitForSelector(`::-p-text(${words})`, { visible: true });
    await choice!.evaluate((element) => (element as HTMLElement).click());
  }

  /**
   * Clicks an enabled button or choice with exactly this text, within a part of the page. It is
   * found first and clicked then: a click may lead to another page before it is reported.
   */
  async pick(text: string, within = 'body') {
    for (let isClicked = false; !isClicked;) {
      const waited = await this.page.waitForFunction(findToPick, {}, within, text);
      const found = waited as JSHandle<HTMLElement | null>;
      isClicked = await found.evaluate(clickIfThere).catch((error: unknown) => {
        if (/context|navigat/i.test(String(error))) return true;
        throw error;
      });
    }
  }

  /** Writes another text into a field. */
  async fill(selector: string, text: string) {
    await this.page.waitForSelector(selector, { visible: true });
    await this.alive(selector);
    await this.page.focus(selector);
    await this.page.$eval(selector, (field) => (field as HTMLInputElement).select());
    if (text === '') await this.page.keyboard.press('Backspace');
    else await this.page.keyboard.sendCharacter(text);
  }

  /** Writes into the entry line. */
  async type(line: string) {
    await this.page.waitForSelector(LINE);
    await this.page.focus(LINE);
    await this.page.keyboard.sendCharacter(line);
  }

  /** Types a line into the entry line, and waits until the app says that it is saved. */
  async log(line: string) {
    await this.type(line);
    await this.page.keyboard.press('Enter');
    await this.page.waitForFunction(
      (at: string) => document.querySelector<HTMLInputElement>(at)?.value === '',
      {},
      LINE,
    );
    await this.interprets(/^Saved/);
  }

  text(selector: string): Promise<string> {
    return this.page.$eval(selector, (element) => element.textContent ?? '');
  }

  value(selector: string): Promise<string> {
    return this.page.$eval(selector, (field) => (field as HTMLInputElement).value);
  }

  /** Waits until the text at a selector matches; a failure says what was there instead. */
  async reads(selector: string, pattern: RegExp) {
    const read = this.page.waitForFunction(
      (at: string, source: string, flags: string) =>
        new RegExp(source, flags).test(document.querySelector(at)?.textContent ?? ''),
      {},
      selector,
      pattern.source,
      pattern.flags,
    );
    await read.catch(async (cause: unknown) => {
      const there = await this.text(selector).catch(() => null);
      throw new Error(`${selector} reads ${JSON.stringify(there)}, not ${pattern}`, { cause });
    });
  }

  /** Waits until this selector matches nothing that can be seen. */
  async gone(selector: string) {
    await this.page.waitForSelector(selector, { hidden: true });
  }

  /** What the entry line says below it. */
  interprets = (pattern: RegExp) => this.reads('#interpretation', pattern);
  bearing = () => this.text('[data-testid=home-bearing]');

  async home(bearing: string, sentence: RegExp) {
    await this.reads('[data-testid=home-bearing]', new RegExp(`^${bearing}$`));
    await this.reads('[data-testid=home-sentence]', sentence);
  }

  /** Waits until the sketch has so many legs: it is drawn a moment after a line is saved. */
  async drawsLegs(count: number) {
    await this.page.waitForFunction(
      (wanted: number) =>
        [
          ...document.querySelectorAll(
            '[data-testid=route] :is([data-kind=leg], [data-kind=side-trip])',
          ),
        ].reduce((sum, path) => sum + path.getAttribute('d')!.split('L').length - 1, 0) === wanted,
      {},
      count,
    );
  }

  /** Presses keys with Control held. */
  async chord(...keys: ('Shift' | 'z' | 'y' | 'k')[]) {
    await this.page.keyboard.down('Control');
    if (keys[0] === 'Shift') await this.page.keyboard.down('Shift');
    await this.page.keyboard.press(keys.at(-1)!);
    if (keys[0] === 'Shift') await this.page.keyboard.up('Shift');
    await this.page.keyboard.up('Control');
  }

  /**
   * Lets the offline worker be installed, and waits until it controls the page. Until then a
   * visitor
   * has none: it copies the whole app for each profile, a third of the time of these tests.
   */
  async workerInstalled() {
    if (this.hold !== undefined) {
      await this.page.removeScriptToEvaluateOnNewDocument(this.hold);
      this.hold = undefined;
      await this.page.evaluate(letWorkerGo);
    }
    await this.page.waitForFunction(async () => {
      await navigator.serviceWorker.ready;
      return navigator.serviceWorker.controller?.state === 'activated';
    });
  }
}

/** Runs in the page before its own script: what registers the offline worker waits. */
function holdWorker() {
  const { serviceWorker } = navigator as Partial<Navigator>;
  if (!serviceWorker) return;
  const register = serviceWorker.register.bind(serviceWorker);
  const released = new Promise<void>((resolve) => {
    addEventListener('release-worker', () => resolve(), { once: true });
  });
  serviceWorker.register = (...worker) => released.then(() => register(...worker));
}

/** Runs in the page: what waited to register the offline worker goes on. */
const letWorkerGo = () => void dispatchEvent(new Event('release-worker'));

/** Runs in the page: an enabled button or choice with exactly this text; null for none. */
function findToPick(part: string, wanted: string): HTMLElement | null {
  const all = document.querySelectorAll<HTMLElement>(`${part} button, ${part} label`);
  const found = [...all].find(
    (each) => each.textContent === wanted && !(each as HTMLButtonElement).disabled,
  );
  return found ?? null;
}

/** Runs in the page: clicks what is still there; false where the page has made it again. */
function clickIfThere(found: HTMLElement | null): boolean {
  if (!found?.isConnected || (found as HTMLButtonElement).disabled) return false;
  found.click();
  return true;
}

/** Runs in the page: true once React has taken hold of what is at a selector. */
function isAlive(selector: string): boolean {
  const found = document.querySelector(selector);
  return found !== null && Object.keys(found).some((key) => key.startsWith('__reactProps'));
}

/** Runs in the page: adds a record to the change log. */
const addRecord = (record: object) =>
  new Promise<void>((resolve, reject) => {
    const open = indexedDB.open('cairn-back');
    open.onerror = () => reject(new Error('the database can’t be opened'));
    open.onsuccess = () => {
      const transaction = open.result.transaction('changes', 'readwrite');
      transaction.objectStore('changes').put(record);
      transaction.onabort = () => reject(new Error('the record can’t be written'));
      transaction.oncomplete = () => {
        open.result.close();
        resolve();
      };
    };
  });

/** Adds a raw record to a visitor's change log, as damage or another program would. */
export const putRecord = (visitor: Visitor, record: object) =>
  visitor.page.evaluate(addRecord, record);

/** One visitor for all tests of a block: a warm browser, and an outing of its own for each test. */
export function sharedVisitor(viewport = DESK): { readonly visitor: Visitor } {
  let visitor: Visitor | undefined;
  beforeAll(async () => {
    visitor = await Visitor.arrive(viewport);
  });
  afterEach(() => visitor?.expectNoProblems());
  afterAll(() => visitor?.leave());
  return {
    get visitor() {
      return visitor ?? expect.fail('the tests have not begun');
    },
  };
}

/** Ten legs of a walk; the way home was computed once by the formulas: 344.7 m on 219.3. */
export const TEN_LEGS = [
  '112 130p > Gauge 1',
  '084 95p ; edge of the burn',
  '061 160p back 241',
  '338 120p',
  '015 75p @10:35 > Esker top',
  '301 110p',
  '268 140p',
  'S40W 60p',
  'SSW 100m',
  '250 0.1km up 3',
];
