import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';

/** What reading a file did to the page that offered it. */
export interface ReadingTally {
  readonly seconds: number;
  /** The longest time that the page could do nothing else, in milliseconds. */
  readonly longestTaskMs: number;
  /** The beginning of what the page says of the file. */
  readonly said: string;
}

/** Watches the page's long tasks (the browser reports those of more than 50 ms). */
const watch = (page: Page) =>
  page.evaluate(() => {
    const seen = globalThis as unknown as { longest: number; observer?: PerformanceObserver };
    seen.longest = 0;
    seen.observer ??= new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) {
        seen.longest = Math.max(seen.longest, duration);
      }
    });
    seen.observer.observe({ type: 'longtask' });
  });

/** Offers a file in the Files view, and waits until it is read, refused or given up. */
export async function readInPage(
  page: Page,
  name: string,
  content: string | Uint8Array,
): Promise<ReadingTally> {
  const path = join(mkdtempSync(join(tmpdir(), 'offered-')), name);
  writeFileSync(path, content);
  // The field for files is made again after each: one that is on its way out takes none.
  await new Promise((resolve) => setTimeout(resolve, 1000));
  await watch(page);
  const began = performance.now();
  const input = await page.waitForSelector('.ant-upload-drag input[type=file]');
  await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(path);
  const said = await page.waitForFunction(
    (file: string) => {
      const preview = document.querySelector('[data-testid=preview]');
      const text = preview?.textContent ?? '';
      return preview?.getAttribute('aria-busy') !== 'true' && text.includes(file) ? text : null;
    },
    { timeout: 120_000 },
    name,
  );
  const seconds = (performance.now() - began) / 1000;
  // The entry of the last task comes after it.
  await new Promise((resolve) => setTimeout(resolve, 200));
  const longestTaskMs = await page.evaluate(
    () => (globalThis as unknown as { longest: number }).longest,
  );
  return { seconds, longestTaskMs, said: String(await said.jsonValue()).slice(0, 100) };
}
