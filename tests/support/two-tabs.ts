import type { Page } from 'puppeteer-core';
import { storedLegs } from './stored';

const LINE = 'input[aria-label="Next line of the log"]';

/**
 * Logs legs of one bearing in a tab, as fast as it takes them; a leg that was refused because the
 * other tab wrote first is in the line still, and is sent again.
 */
const logAll = (page: Page, bearing: number, count: number): Promise<void> =>
  page.evaluate(
    async (selector, degrees, many) => {
      const input = document.querySelector<HTMLInputElement>(selector)!;
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
      const later = () => new Promise((resolve) => setTimeout(resolve));
      for (let n = 1; n <= many; n++) {
        set.call(input, `${String(degrees).padStart(3, '0')} ${n}m`);
        input.dispatchEvent(new Event('input', { bubbles: true }));
        await later();
        input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
        for (let waits = 1; input.value !== ''; waits++) {
          await later();
          if (waits % 500 === 0) {
            input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
          }
        }
      }
    },
    LINE,
    bearing,
    count,
  );

/** The result of two tabs that logged into one outing at once. */
export interface TwoTabsTally {
  readonly lost: readonly string[];
  readonly twice: readonly string[];
  readonly legs: number;
}

/** Two tabs of one outing, each logging so many legs at once; then what the log holds. */
export async function logInTwoTabs(one: Page, other: Page, count: number): Promise<TwoTabsTally> {
  // A runner that keeps the names of functions calls this in what it sends into the page.
  for (const page of [one, other]) await page.evaluate('globalThis.__name = (given) => given');
  await Promise.all([logAll(one, 0, count), logAll(other, 90, count)]);
  const legs = (await storedLegs(one)).map(({ bearing, metres }) => `${bearing} ${metres}`);
  const wanted = [0, 90].flatMap((bearing) =>
    Array.from({ length: count }, (_, n) => `${bearing} ${n + 1}`),
  );
  const there = new Set(legs);
  return {
    lost: wanted.filter((leg) => !there.has(leg)),
    twice: legs.filter((leg, index) => legs.indexOf(leg) !== index),
    legs: legs.length,
  };
}
