import type { Page } from 'puppeteer-core';

/**
 * Another script address stands for a newer version: it installs, and waits for the old one. The
 * page registers its own worker when it has loaded, and hears of a newer one only after that;
 * registrations are answered in their order, so that registering the same again waits for it.
 */
export async function newerVersion(page: Page) {
  await page.waitForFunction(() => Boolean(window.serwist) && document.readyState === 'complete');
  await page.evaluate(async () => {
    const how = { type: 'module', scope: '/' } as const;
    await navigator.serviceWorker.register('/serwist/sw.js', how);
    await navigator.serviceWorker.register('/serwist/sw.js?newer', how);
  });
}
