import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { StillPages } from '../../support/browser/still-pages';
import { VIEWS } from '@/views/views';
import { LINE, PHONE, sharedVisitor, type Visitor } from '../../support/browser/visitor';

const LINES = [
  'pace 65 per 100 m',
  'start Dock ; two birches behind the landing',
  '000 300m > A very long name of a station that someone wrote',
  'at 60 left 10 water ; spring',
  '090 400m > B ; a note that goes on for a while, as notes do in the rain',
];

/** What sticks out of the page to the right, where nothing but a scroller of its own may. */
const stickingOut = ({ page }: Visitor) =>
  page.evaluate(() => {
    const scrolls = (element: Element) => {
      for (let at = element.parentElement; at; at = at.parentElement) {
        const { overflowX } = getComputedStyle(at);
        if (overflowX === 'auto' || overflowX === 'scroll' || overflowX === 'clip') return true;
        if (overflowX === 'hidden') return true;
      }
      return false;
    };
    const wide = document.documentElement.scrollWidth > window.innerWidth + 1;
    return [...document.querySelectorAll('main *, header *, [class*=strip] *')]
      .filter((element) => {
        const { right, width } = element.getBoundingClientRect();
        return width > 0 && right > window.innerWidth + 1 && !scrolls(element);
      })
      .map((element) => `${element.tagName} ${element.textContent?.slice(0, 30)}`)
      .concat(
        // A label wider than its control, where it neither scrolls nor says that it goes on.
        [...document.querySelectorAll('button, a, h1, h2, label, [role=tab]')]
          .filter((element) => {
            const { overflowX, textOverflow, display } = getComputedStyle(element);
            const isCut = element.scrollWidth > element.clientWidth + 2;
            const isPlain = overflowX === 'visible' && textOverflow !== 'ellipsis';
            return isCut && isPlain && display !== 'inline' && element.clientWidth > 1;
          })
          .map((element) => `wider than its place: ${element.textContent?.slice(0, 30)}`),
      )
      .slice(0, 4)
      .concat(wide ? ['the page scrolls sideways'] : []);
  });

let still: StillPages;
beforeAll(async () => {
  still = await StillPages.open();
});
afterAll(() => still.leave());

/** WCAG 2.1, 1.4.4 (text at 200 %) and 1.4.10 (reflow at 320 pixels), and a phone on its side. */
const SIZES = [
  { name: '320 pixels wide', width: 320, height: 640, percent: 100 },
  { name: 'a phone on its side', width: 844, height: 390, percent: 100 },
  { name: 'text at 200 %', width: 390, height: 844, percent: 200 },
  { name: 'a desk zoomed to 200 %', width: 640, height: 400, percent: 100 },
];
/** The size of text that a browser begins with. */
const TEXT_PIXELS = 16;

describe('at any size of page and text', () => {
  const shared = sharedVisitor(PHONE);

  it('no view is cut off or scrolls sideways', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    const id = await visitor.store(LINES);
    const session = await page.createCDPSession();
    const found: string[] = [];
    for (const { id: view, path } of VIEWS) {
      await (path === '/' ? visitor.goto(view) : visitor.goto(view, id));
      await page.waitForSelector('main');
      await page.waitForFunction(() => !/Opening/.test(document.body.textContent ?? ''));
      for (const { name, percent, width, height } of SIZES) {
        const size = (TEXT_PIXELS * percent) / 100;
        await session.send('Page.setFontSizes', { fontSizes: { standard: size, fixed: size } });
        await page.setViewport({ ...PHONE, width, height });
        await page.evaluate(() => new Promise((resolve) => setTimeout(resolve, 150)));
        found.push(...(await stickingOut(visitor)).map((what) => `${view}, ${name}: ${what}`));
      }
    }
    expect(found).toEqual([]);
    await session.send('Page.setFontSizes', {
      fontSizes: { standard: TEXT_PIXELS, fixed: TEXT_PIXELS },
    });
  });
});

describe('with the keyboard of a phone over the page', () => {
  const shared = sharedVisitor(PHONE);

  it('what is typed, how it reads and the way home stay in sight, and come back', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open(LINES);
    const seenHeight = (height: number) =>
      page.evaluate((to) => {
        Object.defineProperty(window.visualViewport!, 'height', { value: to, configurable: true });
        window.visualViewport!.dispatchEvent(new Event('resize'));
      }, height);
    await page.focus(LINE);
    await seenHeight(500);
    await visitor.type('220 65 burnt snag');
    await visitor.reads('#interpretation', /65 paces/);
    for (const selector of [LINE, '#interpretation', '[data-testid=home-sentence]']) {
      const { top, bottom } = await page.$eval(selector, (at) =>
        (at.getBoundingClientRect() as DOMRect).toJSON(),
      );
      expect(top, selector).toBeGreaterThanOrEqual(0);
      expect(bottom, selector).toBeLessThanOrEqual(500);
    }
    expect(await page.evaluate(() => window.scrollY)).toBe(0);
    await seenHeight(844);
    const foot = await page.$eval(
      '[data-testid=home-sentence]',
      (at) => at.getBoundingClientRect().bottom,
    );
    expect(foot).toBeGreaterThan(700);
  });

  it('the actions of a chosen leg are under the thumb, all in sight', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open(LINES);
    await page.tap('#line-1');
    const tools = await page.waitForSelector('[data-line-tools]');
    const places = await tools!.$$eval('button', (buttons) =>
      buttons.map((button) => button.getBoundingClientRect().toJSON() as DOMRect),
    );
    expect(places.length).toBeGreaterThan(6);
    for (const { top, left, right, bottom, height } of places) {
      expect(top).toBeGreaterThan(844 / 3);
      expect([left >= 0, right <= 390, bottom <= 844, height >= 48]).not.toContain(false);
    }
    await visitor.choose('Strike out');
    await visitor.reads('#interpretation', /Struck out/);
    await visitor.click('Undo the last change');
    await visitor.reads('#line-1', /000°/);
  });
});

describe('pages that lie still while all of that is done', () => {
  it('wake the phone for nothing: no timer, no frame, no sensor', async () => {
    expect(await still.settled).toBe(true);
    expect(await still.woken()).toEqual([]);
  });
});
