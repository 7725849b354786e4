import type { Page } from 'puppeteer-core';
import { viewUrl, type ViewId } from '@/views/views';
import { PHONE, Visitor } from './visitor';

/** Longer than anything that a page still does after it was opened. */
const SETTLED_MS = 12_000;
const WATCHED_MS = 30_000;

interface Counted {
  readonly woken: string[];
}

/** Runs before any script of the page: notes each call of a timer, a frame, or a sensor. */
function countWakeUps() {
  const woken: string[] = [];
  (globalThis as unknown as { counted: Counted }).counted = { woken };
  const noted = (what: string, call: unknown) =>
    typeof call === 'function'
      ? (...args: unknown[]) => {
          woken.push(`${what}: ${String(call).slice(0, 80)}`);
          return (call as (...all: unknown[]) => unknown)(...args);
        }
      : call;
  for (const name of ['setTimeout', 'setInterval', 'requestAnimationFrame'] as const) {
    const original = globalThis[name] as (...args: unknown[]) => unknown;
    (globalThis as unknown as Record<string, unknown>)[name] = (
      call: unknown,
      ...rest: unknown[]
    ) => original(noted(name, call), ...rest);
  }
  const listen = window.addEventListener.bind(window);
  window.addEventListener = (type: string, listener: unknown, options?: unknown) => {
    if (/^device/.test(type)) woken.push(`a sensor is listened to: ${type}`);
    listen(type, listener as EventListener, options as AddEventListenerOptions);
  };
}

const later = (milliseconds: number) =>
  new Promise<void>((resolve) => setTimeout(resolve, milliseconds));

/** The views of the hand. */
const VIEWS: readonly ViewId[] = ['outing', 'home-now', 'walk', 'counter'];

/** Pages of one outing that nobody touches, watched while other tests run. */
export class StillPages {
  /** Once the pages have done what they do at first: whether that was seen at all. */
  readonly settled: Promise<boolean>;
  private readonly watched: Promise<void>;

  private constructor(
    private readonly visitor: Visitor,
    private readonly pages: readonly { readonly view: ViewId; readonly page: Page }[],
  ) {
    this.settled = later(SETTLED_MS)
      .then(() => this.read())
      .then((read) => read.every(({ woken }) => woken.length > 0));
    this.watched = this.settled.then(() => later(WATCHED_MS));
  }

  static async open(): Promise<StillPages> {
    const visitor = await Visitor.arrive(PHONE);
    const id = await visitor.store(['pace 65 per 100 m', 'start Dock at 54.2 -63.5', '000 300m']);
    const pages = [];
    for (const view of VIEWS) {
      const page = await visitor.context.newPage();
      await page.evaluateOnNewDocument(countWakeUps);
      await page.goto(visitor.url + viewUrl(view, id));
      await page.waitForSelector('main');
      // Each of them is the page in front, as far as it can tell.
      const session = await page.createCDPSession();
      await session.send('Emulation.setFocusEmulationEnabled', { enabled: true });
      pages.push({ view, page });
    }
    return new StillPages(visitor, pages);
  }

  /** What woke each page since it was asked last. */
  private read() {
    return Promise.all(
      this.pages.map(async ({ view, page }) => ({
        view,
        woken: await page.evaluate(() => {
          const { counted } = globalThis as unknown as { counted: Counted };
          return counted.woken.splice(0);
        }),
      })),
    );
  }

  /** What woke the pages in the half minute after that, or longer. */
  async woken() {
    await this.watched;
    return (await this.read()).filter(({ woken }) => woken.length > 0);
  }

  leave = () => this.visitor.leave();
}
