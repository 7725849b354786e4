import { describe, expect, it } from 'vitest';
import { newerVersion } from '../support/browser/newer-version';
import { tap } from '../support/browser/tap';
import { LINE, PHONE, Visitor } from '../support/browser/visitor';
import { openSettings } from '../support/browser/settings';

const UPDATE = /A new version of Cairn Back is ready/;
const NOTICE = 'div[role=status]';

describe('a new version', () => {
  it('waits for a tab with something open; each tab keeps what is typed', async () => {
    const visitor = await Visitor.arrive();
    const id = await visitor.open(['000 100m']);
    await visitor.workerInstalled();
    await visitor.type('111 11m');
    const other = await visitor.tab(`/outing?id=${id}`);
    await other.fill(LINE, '222 22m');
    await other.click('Settings');
    await other.page.waitForSelector('#set-date', { visible: true });

    await visitor.page.bringToFront();
    await newerVersion(visitor.page);
    await visitor.reads(NOTICE, UPDATE);
    await visitor.press('Update now');
    await visitor.reads(NOTICE, /Another tab has something open/);

    await other.page.bringToFront();
    await other.reads(NOTICE, /Another tab wants to update/);
    await other.page.keyboard.press('Escape');
    await other.gone('.ant-drawer-open');
    const both = [visitor, other].map(({ page }) => page.waitForNavigation());
    await other.press('Update this tab too');
    await Promise.all(both);
    for (const [tab, line] of [
      [visitor, '111 11m'],
      [other, '222 22m'],
    ] as const) {
      await tab.page.bringToFront();
      await tab.page.waitForFunction(
        (at: string, wanted: string) =>
          document.querySelector<HTMLInputElement>(at)?.value === wanted,
        {},
        LINE,
        line,
      );
      tab.expectNoProblems();
    }
    await visitor.leave();
  });

  it('waits in the middle of a count and of a leg on the keypad, and loses neither', async () => {
    const visitor = await Visitor.arrive(PHONE);
    const { page } = visitor;
    const id = await visitor.open(['pace 65 per 100 m'], 'counter');
    await visitor.workerInstalled();
    await visitor.fill('#follow', '231');
    await tap(visitor, 3);
    await newerVersion(page);
    await visitor.reads(NOTICE, UPDATE);
    // The count goes on under the notice, which takes nothing over by itself.
    await tap(visitor, 2);
    await visitor.reads('[data-testid=counted]', /^5$/);
    const updated = page.waitForNavigation();
    await visitor.press('Update now');
    await updated;
    await visitor.reads('[data-testid=counted]', /^5$/);
    expect(await visitor.value('#follow')).toBe('231');
    await visitor.goto('outing', id);
    await visitor.press('Keypad: dial and number keys');
    for (const digit of '2206') await visitor.pick(digit, '[data-keypad]');
    await page.reload();
    await visitor.reads('[data-testid=keypad-count]', /^6$/);
    await visitor.leave();
  });

  it('keeps the files of the old one until the last tab has moved on', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await visitor.goto('outings');
    await visitor.workerInstalled();
    const old = '/_next/static/chunks/of-the-old-build.js';
    await page.evaluate(async (path: string) => {
      const cache = await caches.open('cairn-files-of-the-old-build');
      await cache.put(path, new Response('/* old */'));
    }, old);
    const read = () =>
      page.evaluate(async (path: string) => {
        const answer = await fetch(path);
        return answer.ok ? answer.text() : String(answer.status);
      }, old);
    // A tab that says no build of its own stands for one that runs the old build.
    const older = await visitor.tab('/icons/cairn.svg');
    await page.bringToFront();
    await page.reload();
    await visitor.reads('main', /Start an outing/);
    // The worker asks the tabs for three seconds.
    await new Promise((resolve) => setTimeout(resolve, 5000));
    expect(await read()).toBe('/* old */');

    await older.page.close();
    await page.reload();
    await page.waitForFunction(
      async () => !(await caches.keys()).includes('cairn-files-of-the-old-build'),
      { polling: 200 },
    );
    // The server has never heard of it.
    expect(await read()).toBe('404');
    visitor.problems.splice(0);
    await visitor.leave();
  });
});

describe('a part of the app that does not load', () => {
  it('is loaded once more, with what was typed', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    const model = ['start Dock at 54.2 -63.5', 'date 2026-08-14', 'declination model'];
    const id = await visitor.open([...model, '000 100m']);
    await visitor.type('111 11m');
    // Without the offline worker, so that the page asks the network itself.
    const session = await page.createCDPSession();
    await session.send('Network.enable');
    await session.send('Network.setBypassServiceWorker', { bypass: true });
    await session.send('Network.setCacheDisabled', { cacheDisabled: true });
    const html = await (await fetch(`${visitor.url}/outing?id=${id}`)).text();
    await page.setRequestInterception(true);
    let loads = 0;
    page.on('request', (request) => {
      const { pathname } = new URL(request.url());
      if (request.isNavigationRequest()) loads++;
      // What the page asks for later, on its first load alone.
      const isPart = pathname.startsWith('/_next/static/chunks/') && !html.includes(pathname);
      void (isPart && loads === 1 ? request.abort() : request.continue());
    });
    await page.goto(`${visitor.url}/outing?id=${id}`);
    // What the model gives is there although its code did not load at first.
    await visitor.reads('header', /Declination 19\.2° W/);
    expect(loads).toBe(2);
    expect(await visitor.value(LINE)).toBe('111 11m');
    visitor.problems.splice(0);
    await visitor.leave();
  });
});

describe('a browser that refuses its storage for choices', () => {
  it('shows every view all the same', async () => {
    const visitor = await Visitor.arrive();
    await visitor.page.evaluateOnNewDocument(() => {
      for (const name of ['localStorage', 'sessionStorage']) {
        Object.defineProperty(globalThis, name, {
          get: () => {
            throw new DOMException('storage is blocked', 'SecurityError');
          },
        });
      }
    });
    const id = await visitor.open(['pace 65 per 100 m', '000 100m']);
    await visitor.log('090 100m');
    for (const view of ['way-home', 'walk', 'counter', 'pacing', 'files', 'guide'] as const) {
      await visitor.goto(view, id);
      await visitor.page.waitForSelector('main :is(h2, [data-tap], p)', { visible: true });
    }
    await visitor.goto('outings');
    await openSettings(visitor);
    await visitor.click('Dark');
    await visitor.page.waitForSelector('html[data-theme=dark]');
    await visitor.leave();
  });
});
