import { execFileSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, get } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { launch } from '../../scripts/browser.mjs';
import { freePort, startServer } from '../../scripts/server.mjs';

/** The result of updating from one build to another, with tabs open. */
export interface UpdateTally {
  readonly step: string;
  readonly isGood: boolean;
  readonly found: string;
}

const LINE = 'input[aria-label="Next line of the log"]';
const PATIENCE_MS = 60_000;

/** Builds the app again, under another id; what is served from here on is that build. */
const buildAgain = () => execFileSync('npm', ['run', 'build'], { stdio: 'ignore' });

/** The build that a page says it is of. */
const buildOf = (page: Page) =>
  page.$eval('meta[name=cairn-build]', (tag) => (tag as HTMLMetaElement).content);

/** The builds of the pages in the offline copies, by the name of their cache. */
const copiedBuilds = (page: Page): Promise<string[]> =>
  page.evaluate(async () => {
    const found: string[] = [];
    for (const name of await caches.keys()) {
      const cache = await caches.open(name);
      for (const request of await cache.keys()) {
        const answer = await cache.match(request);
        if (!answer?.headers.get('content-type')?.startsWith('text/html')) continue;
        const [, build] = /name="cairn-build" content="([^"]+)"/.exec(await answer.text()) ?? [];
        found.push(`${name.replace('cairn-files-', '')} ${build}`);
      }
    }
    return found;
  });

async function logged(page: Page, line: string): Promise<void> {
  await page.bringToFront();
  await page.focus(LINE);
  await page.keyboard.type(line);
  await page.keyboard.press('Enter');
  await page.waitForFunction(
    (at: string) => document.querySelector<HTMLInputElement>(at)?.value === '',
    { timeout: PATIENCE_MS },
    LINE,
  );
}

/** The worker of a page is installed, and in charge of it. */
const workerActive = (page: Page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    while (!navigator.serviceWorker.controller) await new Promise((go) => setTimeout(go, 50));
  });

/**
 * Updates from the build that is there to one of the same sources, while a tab of the old build
 * logs and connections to the old server are kept alive; then restarts the browser and opens every
 * page that was copied. `isOldFirst`: whether the new tab is opened after the old one was reloaded.
 */
export async function update(isOldFirst: boolean): Promise<UpdateTally[]> {
  const port = await freePort();
  const userDataDir = mkdtempSync(join(tmpdir(), 'update-'));
  const tallies: UpdateTally[] = [];
  const say = (step: string, isGood: boolean, found: string) =>
    tallies.push({ step, isGood, found });
  let server = await startServer({ port });
  let browser: Browser = await launch({ userDataDir });
  const kept = new Agent({ keepAlive: true });
  try {
    const old = await browser.newPage();
    await old.goto(server.url);
    await (await old.waitForSelector('aria/Start an outing'))!.click();
    await old.waitForSelector(LINE);
    const outing = old.url();
    await logged(old, '000 100m');
    await workerActive(old);
    const oldBuild = await buildOf(old);
    // A connection that something on the way keeps open to the old server.
    await new Promise((done) =>
      get(server.url, { agent: kept }, (r) => r.resume().on('end', done)),
    );
    const ended = endedInOrder(server.child);
    buildAgain();
    await ended;
    server = await startServer({ port });

    await logged(old, '010 110m');
    const tab = await browser.newPage();
    if (isOldFirst) await old.reload();
    await tab.goto(outing);
    await tab.waitForSelector(LINE);
    await logged(old, '020 120m');
    await tab.bringToFront();
    await tab.evaluate(async () => {
      const registration = await navigator.serviceWorker.getRegistration();
      await registration?.update();
    });
    const offer = 'aria/Update now';
    await (await tab.waitForSelector(offer, { timeout: PATIENCE_MS }))!.click();
    await tab.waitForFunction(
      (before: string) =>
        document.querySelector<HTMLMetaElement>('meta[name=cairn-build]')?.content !== before,
      { timeout: PATIENCE_MS },
      oldBuild,
    );
    const newBuild = await buildOf(tab);
    say('the tab runs the new build', newBuild !== oldBuild, newBuild);
    await workerActive(tab);

    await browser.close();
    browser = await launch({ userDataDir });
    const page = await browser.newPage();
    await server.stop();
    // Without the server: only what was copied can answer.
    await page.goto(outing);
    await page.waitForSelector(LINE, { timeout: PATIENCE_MS });
    const legs = await page.$$eval('[id^=line-]', (rows) => rows.length);
    say('every leg is there, without the server', legs >= 3, `${legs} lines`);
    const copies = await copiedBuilds(page);
    const mixed = copies.filter((copy) => new Set(copy.split(' ')).size > 1);
    say(
      'each copied page is of its build',
      mixed.length === 0,
      mixed.join(', ') || `${copies.length} pages`,
    );
    const isNew = copies.every((copy) => copy.startsWith(newBuild));
    say('no copy of the old build is left', isNew, `${copies.length} pages`);
  } finally {
    kept.destroy();
    await browser.close();
    await server.stop();
    rmSync(userDataDir, { recursive: true, force: true, maxRetries: 5 });
  }
  return tallies;
}

function endedInOrder(child: ChildProcess): Promise<void> {
  return new Promise((resolve) => {
    child.once('exit', () => resolve());
    child.kill('SIGTERM');
  });
}
