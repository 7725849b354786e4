import { describe, expect, it } from 'vitest';
import { VIEWS, type ViewId } from '@/views/views';
import { newerVersion } from '../support/browser/newer-version';
import { Visitor } from '../support/browser/visitor';

/** What each view of an outing shows without a network. */
const SHOWS: Readonly<Record<Exclude<ViewId, 'outings' | 'outing'>, readonly [string, RegExp]>> = {
  declination: ['[data-testid=declination-sentence]', /Magnetic only/],
  uncertainty: ['main', /What your readings are worth/],
  pacing: ['[data-testid=sources]', /The straight way home from here/],
  fix: ['main', /Where am I\?/],
  counter: ['[data-testid=counted]', /^0$/],
  walk: ['[data-testid=follow]', /^233°$/],
  print: ['main', /Home: 233°/],
  pegs: ['[data-testid=closing]', /the string gives 233°/],
  guide: ['main', /9 checks left/],
  files: ['main', /Back up everything/],
  'step-off': ['main', /There is no such outing/],
  area: ['main', /There is no such area/],
  route: ['main', /There is no such route/],
  map: ['main', /There is no such picture/],
  practice: ['main', /Skills for the hill/],
  'home-now': ['[data-testid=answer-bearing]', /^233°$/],
  'way-home': ['[data-testid=sure]', /Within \d+ m of Dock/],
};

describe('without a network', () => {
  it('after one visit: logging, a reload, a new tab and the models all work', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await visitor.open(['000 100m']);
    await visitor.workerInstalled();

    await page.setOfflineMode(true);
    await page.reload();
    await visitor.home('180°', /Walk 100 m/);
    await visitor.log('090 100m');
    await visitor.home('225°', /Walk 140 m/);
    // The models of the earth were never asked for before: they are there all the same.
    await visitor.click('Settings');
    await visitor.fill('#set-place', '54.2 -63.5');
    await visitor.fill('#set-date', '2026-08-14');
    await visitor.choose('Apply declination');
    await visitor.choose('World Magnetic Model');
    await visitor.click('Save');
    await visitor.reads('header', /Declination 19\.2° W/);

    const other = await visitor.tab('/');
    await other.page.setOfflineMode(true);
    await other.page.reload();
    await other.reads('main', /2 legs/);
    await other.page.click('a[href^="/outing"]');
    await other.reads('header', /Declination 19\.2° W/);
    other.expectNoProblems();
    await visitor.leave();
  });

  it('every view opens, and the workers work', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    const id = await visitor.open(['pace 65 per 100 m', 'start Dock', '000 300m > A', '090 400m']);
    await visitor.workerInstalled();
    await page.setOfflineMode(true);
    for (const { id: view } of VIEWS) {
      if (view === 'outings' || view === 'outing') continue;
      await visitor.goto(view, id);
      await visitor.reads(...SHOWS[view]);
    }
    // What the Files view loads only when it is asked for is there too.
    await visitor.goto('files', id);
    await visitor.choose('Everything (ZIP)');
    await visitor.reads('[data-testid=exported]', /\.zip in your downloads/);
    await visitor.choose('Show QR codes');
    await page.waitForSelector('[data-testid=code] svg');
    await visitor.goto('way-home', id);
    // A worker's script that the cache answers loses what the bundler passes, unless that is kept.
    await visitor.choose('Simulate 1,000,000 walks');
    await visitor.reads('[data-testid=simulated]', /of 1,000,000 walks/);
    await visitor.goto('counter', id, { follow: '180M' });
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('#follow')?.value === '180M',
    );
    // Bookmarks of the first version lead to the same views.
    await page.goto(`${visitor.url}/norths?id=${id}`);
    await visitor.reads(...SHOWS.declination);
    await page.setOfflineMode(false);
    await visitor.leave();
  });
});

describe('the installed app', () => {
  it('says when a new version is ready, and uses it when told', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await visitor.goto('outings');
    await visitor.workerInstalled();
    await newerVersion(page);
    await visitor.reads('[role=status]', /A new version of Cairn Back is ready/);
    const reloaded = page.waitForNavigation();
    await visitor.click('Update now');
    await reloaded;
    await visitor.reads('main', /Start an outing/);
    await visitor.leave();
  });

  it('has a manifest with icons, and old addresses lead to the views of today', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await visitor.goto('outings');
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
    const moved = await fetch(`${visitor.url}/way?id=x`, { redirect: 'manual' });
    expect([moved.status, moved.headers.get('location')]).toEqual([308, '/way-home?id=x']);
    await visitor.leave();
  });
});

describe('two tabs', () => {
  it('show each other’s legs at once, and lose none', async () => {
    const visitor = await Visitor.arrive();
    await visitor.open(['000 100m']);
    const { pathname, search } = new URL(visitor.page.url());
    const other = await visitor.tab(pathname + search);
    await other.home('180°', /Walk 100 m/);
    await other.page.bringToFront();
    await other.log('090 100m');
    await visitor.page.bringToFront();
    await visitor.home('225°', /Walk 140 m/);
    await visitor.log('180 100m');
    await other.page.bringToFront();
    await other.home('270°', /Walk 100 m/);
    await other.drawsLegs(3);
    other.expectNoProblems();
    await visitor.leave();
  });
});
