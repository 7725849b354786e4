import { describe, expect, it } from 'vitest';
import { Visitor } from './visitor';

/** Waits until the offline worker is in charge of the page. */
const installed = (visitor: Visitor) =>
  visitor.page.waitForFunction(async () => {
    await navigator.serviceWorker.ready;
    return navigator.serviceWorker.controller?.state === 'activated';
  });

describe('without a network', () => {
  it('after one visit: logging, a reload, a new tab and the demo all work', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await visitor.startOuting();
    await visitor.log('000 100m');
    await installed(visitor);

    await page.setOfflineMode(true);
    await page.reload();
    await visitor.home('180°', /Walk 100 m/);
    await visitor.log('090 100m');
    await visitor.home('225°', /Walk 140 m/);
    // The models of the earth were never asked for before: they are there all the same.
    await visitor.click('Set up');
    await visitor.fill('#set-place', '54.2 -63.5');
    await visitor.fill('#set-date', '2026-08-14');
    await visitor.choose('By a sum each time');
    await visitor.choose('World Magnetic Model');
    await visitor.click('Save');
    await visitor.reads('header', /Needle points 19.2° west/);

    const other = await visitor.tab('/').catch(() => null);
    expect(other).not.toBeNull();
    await other!.page.setOfflineMode(true);
    await other!.page.reload();
    await other!.reads('main', /2 legs/);
    await other!.page.click('a[href^="/outing"]');
    await other!.reads('header', /Needle points 19.2° west/);
    expect(other!.problems).toEqual([]);
    // The only words against it: the question to the server whether it shows the demo.
    visitor.problems.splice(0);
    await visitor.leave();
  });

  it('says when a new version waits, and takes it when told', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await page.goto(visitor.url);
    await installed(visitor);
    // The page registers its worker once it has loaded; done later it would take the place of another.
    await new Promise((resolve) => setTimeout(resolve, 2000));
    // Another script address stands for a newer version: it installs, and waits for the old one to go.
    await page.evaluate(() =>
      navigator.serviceWorker.register('/serwist/sw.js?newer', { type: 'module', scope: '/' }),
    );
    await visitor.reads('[role=status]', /newer version of Cairn Back is ready/);
    const reloaded = page.waitForNavigation();
    await visitor.click('Use it now');
    await reloaded;
    await visitor.reads('main', /Start an outing/);
    await visitor.leave();
  });

  it('can be installed: a manifest with icons', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await page.goto(visitor.url);
    const manifest = await page.evaluate(async () => {
      const link = document.querySelector<HTMLLinkElement>('link[rel=manifest]')!;
      const found = (await (await fetch(link.href)).json()) as {
        display: string;
        icons: { src: string }[];
      };
      const icons = await Promise.all(
        found.icons.map(async ({ src }) => (await fetch(src)).status),
      );
      return { display: found.display, icons };
    });
    expect(manifest).toEqual({ display: 'standalone', icons: [200, 200, 200] });
    await visitor.leave();
  });
});

describe('two tabs', () => {
  it('see each other’s legs at once, and lose none', async () => {
    const visitor = await Visitor.arrive();
    await visitor.startOuting();
    await visitor.log('000 100m');
    const other = await visitor.tab(
      new URL(visitor.page.url()).pathname + new URL(visitor.page.url()).search,
    );
    await other.home('180°', /Walk 100 m/);
    await other.page.bringToFront();
    await other.log('090 100m');
    await visitor.page.bringToFront();
    await visitor.home('225°', /Walk 140 m/);
    await visitor.log('180 100m');
    await other.page.bringToFront();
    await other.home('270°', /Walk 100 m/);
    expect(await other.legsDrawn()).toBe(3);
    expect(other.problems).toEqual([]);
    await visitor.leave();
  });

  it('every view opens, and the workers work, without a network', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await visitor.startOuting();
    const id = new URL(page.url()).searchParams.get('id')!;
    for (const line of ['pace 65 per 100 m', 'start Dock', '000 300m > A', '090 400m']) {
      await visitor.log(line);
    }
    await installed(visitor);
    await page.setOfflineMode(true);
    for (const [path, at, says] of [
      ['/norths', '[data-testid=norths-sentence]', /Magnetic all the way/],
      ['/paces', '[data-testid=doubt]', /Straight home from here/],
      ['/count', '[data-testid=counted]', /^0$/],
      ['/walk', '[data-testid=hold]', /^233°$/],
      ['/paper', 'main', /Home: 233°/],
      ['/pegs', '[data-testid=closing]', /The string should give 233°/],
      ['/guide', 'main', /9 checks are open/],
      ['/files', 'main', /Back up everything/],
      ['/step-off', 'main', /There is no such outing|Which way do you go/],
      ['/way', '[data-testid=sure]', /Nineteen times in twenty/],
    ] as const) {
      await page.goto(`${visitor.url}${path}?id=${id}`);
      await visitor.reads(at, says);
    }
    // What the Files view loads only when it is asked for is there too.
    await page.goto(`${visitor.url}/files?id=${id}`);
    await visitor.choose('Archive');
    await visitor.reads('[data-testid=handed-out]', /\.zip was written/);
    await visitor.choose('Show codes');
    await page.waitForSelector('[data-testid=code] svg');
    await page.goto(`${visitor.url}/way?id=${id}`);
    // A worker's script that a cache answers loses what the bundler passes it, unless the cache is told.
    await visitor.choose('Walk it a million times');
    await visitor.reads('[data-testid=simulated]', /Of 1,000,000 walks/);
    await page.goto(`${visitor.url}/count?id=${id}&hold=180M`);
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('#hold')?.value === '180M',
    );
    await page.setOfflineMode(false);
    await visitor.leave();
  });
});
