import { describe, expect, it } from 'vitest';
import { PLACES } from '@/views/shared/frame/places';
import { VIEWS, viewUrl } from '@/views/views';
import { DESK, PHONE, sharedVisitor, type Visitor } from '../support/browser/visitor';

const LOG = ['start Dock at 54.2 -63.5', 'declination 19.1 W', '048 200m'];

/** The places that can be seen, with where they lead and which is the one that is open. */
const places = ({ page }: Visitor) =>
  page.$$eval('nav#frame a[data-place], nav#frame a[href="/"]', (links) =>
    links
      .filter((link) => link.checkVisibility())
      .map((link) => ({
        href: link.getAttribute('href')!,
        place: link.getAttribute('data-place') ?? '/',
        isOpen: link.getAttribute('aria-current') === 'page',
      })),
  );

const openMore = async ({ page }: Visitor) => {
  await page.waitForSelector('nav#frame summary');
  await page.$eval('nav#frame details', (details) => details.setAttribute('open', ''));
};

/** A page shows before its script listens to keys: a key that comes in between is lost. */
async function pressUntil({ page }: Visitor, press: () => Promise<void>, selector: string) {
  while (!(await page.$(selector))) {
    await press();
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
}

describe('the frame at a desk', () => {
  const shared = sharedVisitor(DESK);

  it('has every place in one tap, all others in two, from each page', async () => {
    const { visitor } = shared;
    const id = await visitor.open(LOG);
    for (const { id: view, path } of VIEWS.filter((each) => each.id !== 'step-off')) {
      await visitor.goto(view, id);
      const seen = await places(visitor);
      const paths = seen.map(({ place }) => place);
      for (const { view: place } of PLACES) expect(paths, `from ${path}`).toContain(viewUrl(place));
      expect(paths).toContain('/');
      // The place that is open says so, and no other one does.
      const open = seen.filter(({ isOpen }) => isOpen).map(({ place }) => place);
      expect(open).toEqual(PLACES.some((each) => viewUrl(each.view) === path) ? [path] : []);
      await openMore(visitor);
      const all = new Set((await places(visitor)).map(({ place }) => place));
      for (const each of VIEWS.filter(({ menu }) => menu !== null))
        expect(all).toContain(each.path);
    }
  });

  it('leads to the outing in hand and names it, from a page that is about none', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    const id = await visitor.open([...LOG.slice(0, 2), '100 50m']);
    await visitor.goto('practice');
    const found = new Map((await places(visitor)).map(({ place, href }) => [place, href]));
    expect(found.get('/outing')).toBe(`/outing?id=${id}`);
    expect(found.get('/home-now')).toBe(`/home-now?id=${id}`);
    expect(found.get('/map')).toBe(`/map?outing=${id}`);
    await page.click('nav#frame a[data-place="/outing"]');
    await visitor.reads('[data-testid=home-bearing]', /^280°$/);
  });

  it('opens any place by name with Ctrl K, and lists the keys with ?', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.goto('guide');
    await visitor.alive('main');
    await pressUntil(visitor, () => visitor.chord('k'), 'input[aria-label="All places"]');
    await page.type('input[aria-label="All places"]', 'resection');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => location.pathname === '/fix');
    await visitor.goto('practice');
    await visitor.alive('main');
    await pressUntil(visitor, () => page.keyboard.press('?'), '[role=dialog]');
    await visitor.reads('[role=dialog]', /Ctrl K/);
    expect(visitor.problems).toEqual([]);
  });
});

describe('the frame on a phone', () => {
  const shared = sharedVisitor(PHONE);

  it('is a bar under the thumb, which covers nothing and goes with a keyboard', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    const id = await visitor.open(LOG);
    const box = async (selector: string) => (await (await page.$(selector))!.boundingBox())!;
    const bar = await box('nav#frame');
    expect(bar.y + bar.height).toBeCloseTo(844, 0);
    const strip = await box('section[aria-label="Way home"]');
    expect(strip.y + strip.height).toBeLessThanOrEqual(bar.y + 1);
    const inBar = (await places(visitor)).map(({ place }) => place);
    expect(inBar).toEqual(['/outing', '/map', '/home-now', '/fix']);
    for (const link of await page.$$('nav#frame > a[data-bar=true], nav#frame summary')) {
      const { width, height } = (await link.boundingBox())!;
      expect(Math.min(width, height)).toBeGreaterThanOrEqual(48);
    }
    // Two taps to what is not in the bar.
    await page.tap('nav#frame summary');
    await page.waitForSelector('nav#frame details a[data-place="/practice"]', { visible: true });
    await page.tap('nav#frame details a[data-place="/practice"]');
    await page.waitForFunction(() => location.pathname === '/practice');
    await page.tap('nav#frame a[data-place="/home-now"]');
    await visitor.reads('[data-testid=answer-bearing]', /^228°$/);
    expect(new URL(page.url()).searchParams.get('id')).toBe(id);
    await page.setViewport({ ...PHONE, height: 514 });
    await page.waitForSelector('nav#frame', { hidden: true });
    await page.setViewport(PHONE);
  });
});
