import puppeteer, { type Browser, type BrowserContext, type Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, inject } from 'vitest';

export const DESK = { width: 1280, height: 800 };
export const PHONE = { width: 390, height: 844, isMobile: true, hasTouch: true };

let browser: Browser;
beforeAll(async () => {
  browser = await puppeteer.connect({ browserWSEndpoint: inject('browser') });
});
afterAll(() => browser.disconnect());

/** Someone at a screen, with a browser profile of their own. Problems of the page are collected. */
export class Visitor {
  readonly problems: string[] = [];
  readonly foreign: string[] = [];

  private constructor(
    readonly context: BrowserContext,
    readonly page: Page,
    readonly url: string,
  ) {}

  static async arrive(viewport = DESK, url = inject('url')): Promise<Visitor> {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    const visitor = new Visitor(context, page, url);
    await visitor.watch(page, viewport);
    return visitor;
  }

  private async watch(page: Page, viewport: typeof DESK) {
    await page.setViewport(viewport);
    page.on('pageerror', (error) => this.problems.push(String(error)));
    page.on('console', (message) => {
      if (message.type() === 'error') this.problems.push(message.text());
    });
    page.on('request', (request) => {
      const { protocol, host } = new URL(request.url());
      if (protocol.startsWith('http') && host !== new URL(this.url).host)
        this.foreign.push(request.url());
    });
  }

  /** Another tab of the same browser. */
  async tab(path: string): Promise<Visitor> {
    const other = new Visitor(this.context, await this.context.newPage(), this.url);
    await other.watch(other.page, DESK);
    await other.page.goto(this.url + path);
    return other;
  }

  async leave() {
    expect(this.problems).toEqual([]);
    expect(this.foreign).toEqual([]);
    await this.context.close();
  }

  /** Opens the shelf and starts an outing on it; ends on its spread. */
  async startOuting() {
    await this.page.goto(this.url);
    await this.click('Start an outing');
    await this.page.waitForSelector('[data-testid=home-sentence]');
  }

  /** A control by the name that a screen reader would say. */
  async click(name: string) {
    const control = await this.page.waitForSelector(`aria/${name}`, { visible: true });
    await control!.click();
  }

  /** Types a line into the entry line, and waits until the app says that it is saved. */
  async log(line: string) {
    await this.type(line);
    await this.page.keyboard.press('Enter');
    await this.page.waitForFunction(
      () =>
        document.querySelector<HTMLInputElement>('input[aria-label="Next line of the log"]')
          ?.value === '',
    );
    await this.understood(/^Saved/);
  }

  /** A choice by the words beside it. */
  async choose(words: string) {
    const choice = await this.page.waitForSelector(`::-p-text(${words})`, { visible: true });
    await choice!.evaluate((element) => (element as HTMLElement).click());
  }

  /** Writes another text into a field. */
  async fill(selector: string, text: string) {
    await this.page.waitForSelector(selector, { visible: true });
    await this.page.focus(selector);
    await this.page.keyboard.down('Control');
    await this.page.keyboard.press('a');
    await this.page.keyboard.up('Control');
    await this.page.keyboard.type(text);
  }

  async type(line: string) {
    await this.page.waitForSelector('input[aria-label="Next line of the log"]');
    await this.page.type('input[aria-label="Next line of the log"]', line);
  }

  text(selector: string): Promise<string> {
    return this.page.$eval(selector, (element) => element.textContent ?? '');
  }

  /** Waits until what stands at a selector reads like this. */
  async reads(selector: string, pattern: RegExp) {
    await this.page.waitForFunction(
      (at: string, source: string, flags: string) =>
        new RegExp(source, flags).test(document.querySelector(at)?.textContent ?? ''),
      {},
      selector,
      pattern.source,
      pattern.flags,
    );
  }

  understood = (pattern: RegExp) => this.reads('#understanding', pattern);
  bearing = () => this.text('[data-testid=home-bearing]');
  sentence = () => this.text('[data-testid=home-sentence]');

  async home(bearing: string, sentence: RegExp) {
    await this.reads('[data-testid=home-bearing]', new RegExp(`^${bearing}$`));
    await this.reads('[data-testid=home-sentence]', sentence);
  }

  /** How many legs the sketch draws. */
  legsDrawn(): Promise<number> {
    return this.page.$$eval('[data-testid=legs], [data-testid=side-trips]', (paths) =>
      paths.reduce((sum, path) => sum + path.getAttribute('d')!.split('L').length - 1, 0),
    );
  }

  /** Presses keys with Control held. */
  async chord(...keys: ('Shift' | 'z' | 'y')[]) {
    await this.page.keyboard.down('Control');
    if (keys[0] === 'Shift') await this.page.keyboard.down('Shift');
    await this.page.keyboard.press(keys.at(-1)!);
    if (keys[0] === 'Shift') await this.page.keyboard.up('Shift');
    await this.page.keyboard.up('Control');
  }
}

/** Ten legs of a walk with its answer, worked out once by the formulas: home 344.7 m on 219.3. */
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
