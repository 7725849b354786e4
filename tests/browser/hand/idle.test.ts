import { describe, expect, it } from 'vitest';
import type { ViewId } from '@/views/views';
import { PHONE, sharedVisitor } from '../../support/browser/visitor';

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

describe('a page that lies still', () => {
  const shared = sharedVisitor(PHONE);

  it('wakes the phone for nothing, in half a minute, in any view of the hand', async () => {
    const { visitor } = shared;
    const id = await visitor.store(['pace 65 per 100 m', 'start Dock at 54.2 -63.5', '000 300m']);
    const views: readonly ViewId[] = ['outing', 'home-now', 'walk', 'counter'];
    const pages = await Promise.all(
      views.map(async (view) => {
        const page = await visitor.context.newPage();
        await page.evaluateOnNewDocument(countWakeUps);
        await visitor.goto(view, id);
        await page.goto(visitor.page.url());
        await page.waitForSelector('main');
        // All of them are the page in front, each by itself.
        await (
          await page.createCDPSession()
        ).send('Emulation.setFocusEmulationEnabled', {
          enabled: true,
        });
        return { view, page };
      }),
    );
    await new Promise((resolve) => setTimeout(resolve, SETTLED_MS));
    const read = async () =>
      Promise.all(
        pages.map(async ({ view, page }) => ({
          view,
          woken: await page.evaluate(() => {
            const { woken } = (globalThis as unknown as { counted: Counted }).counted;
            return woken.splice(0);
          }),
        })),
      );
    expect((await read()).every(({ woken }) => woken.length > 0)).toBe(true);
    await new Promise((resolve) => setTimeout(resolve, WATCHED_MS));
    expect(await read()).toEqual(views.map((view) => ({ view, woken: [] })));
    await Promise.all(pages.map(({ page }) => page.close()));
  });
});
