import { describe, expect, it } from 'vitest';
import { PHONE, sharedVisitor, Visitor } from '../../support/browser/visitor';

const OUT = [
  'date 2026-08-14 09:40',
  'pace 65 per 100 m',
  'start Dock at 54.2 -63.5',
  'landmark tree ; two birches',
  '000 300m > A @10:00',
  '090 400m > B @10:20',
];

describe('Home now', () => {
  const shared = sharedVisitor(PHONE);

  it('is one tap from the log and from other views, and walks the chosen way', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open(OUT);
    await visitor.click('Home now');
    await visitor.reads('[data-testid=answer-bearing]', /^233°$/);
    await visitor.reads('[data-testid=answer-walk]', /^500 m: 325 paces$/);
    await visitor.reads('main', /to Dock.*Within \d+ m of Dock \(95 %\)/);
    await visitor.reads('[data-testid=landmarks]', /two birches/);
    await visitor.reads('[data-testid=light]', /last time, 10:20\. 9 h \d+ min of light left/);
    await visitor.reads('main', /look before you step/);
    await page.click('[data-way=retrace] input');
    await visitor.reads('[data-testid=answer-bearing]', /^270°$/);
    await visitor.reads('main', /West, to A/);
    await visitor.click('Walk: retrace the legs');
    await visitor.reads('[data-testid=left]', /400 m to A: 260 paces/);
    await visitor.click('Home now');
    await visitor.reads('[data-testid=answer-bearing]', /^233°$/);
  });

  it('offers the line of the Way home view, and shows it as the first stretch', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    const id = await visitor.open(OUT, 'way-home');
    await visitor.reads('[data-testid=answer-bearing]', /^233°$/);
    await visitor.fill('#line', '180');
    await visitor.reads('[data-way=aim-off]', /Then turn/);
    await visitor.goto('home-now', id);
    await page.waitForSelector('[data-way=aim-off]');
    await page.click('[data-way=aim-off] input');
    await visitor.reads('main', /to the line.*Within \d+ m of the line/);
    await visitor.click('Walk: aim off');
    await visitor.reads('[data-testid=left]', /to the line: \d+ paces/);
  });

  it('says which mark the needle goes to, on a fixed declination scale', async () => {
    const { visitor } = shared;
    await visitor.open(
      ['declination 13 E', 'correction by-mark', 'show true', 'read true', '000 100m'],
      'home-now',
    );
    await visitor.reads('[data-testid=answer-bearing]', /^180°$/);
    await visitor.reads('[data-testid=needle]', /^Needle on the 13° E mark$/);
  });

  it('says at the start that one is there', async () => {
    const { visitor } = shared;
    await visitor.open(['start Dock'], 'home-now');
    await visitor.reads('[data-testid=answer-walk]', /^You are at Dock\.$/);
    expect(await visitor.page.$('[data-testid=light]')).toBeNull();
  });
});

describe('the last known way home', () => {
  it('is painted from what is kept before any script of the app, with its age', async () => {
    const visitor = await Visitor.arrive(PHONE);
    const { page } = visitor;
    const id = await visitor.open(OUT);
    await visitor.home('233°', /Walk 500 m/);
    // Without the app's own scripts only what is in the page itself runs.
    await page.setRequestInterception(true);
    page.on('request', (request) => {
      if (request.resourceType() === 'script') void request.abort();
      else void request.continue();
    });
    await visitor.goto('home-now', id);
    await visitor.reads('#last-home', /233°.*magnetic.*500 m: 325 paces.*Test: as it was just now/);
    await visitor.gone('[data-testid=answer-bearing]');
    await visitor.goto('outings');
    await visitor.reads('#last-home', /233°/);
    expect(await page.$eval('#last-home a', (link) => link.getAttribute('href'))).toBe(
      `/home-now?id=${id}`,
    );
    await page.setRequestInterception(false);
    visitor.problems.length = 0;
    await visitor.leave();
  });

  it('goes as soon as the log has been read, and is forgotten with its outing', async () => {
    const visitor = await Visitor.arrive(PHONE);
    const { page } = visitor;
    const id = await visitor.open(OUT);
    await visitor.goto('home-now', id);
    await visitor.reads('[data-testid=answer-bearing]', /233°/);
    await visitor.gone('#last-home');
    // Home now without an outing in the address is about the one that was open last.
    await visitor.goto('home-now');
    await visitor.reads('[data-testid=answer-bearing]', /233°/);
    await visitor.goto('outings');
    await page.waitForSelector('#last-home', { visible: true });
    await visitor.click('More: what is done with Test');
    await visitor.click('Delete: Test');
    await visitor.reads('[role=status]', /Test/);
    await page.reload();
    await visitor.reads('main', /Start an outing/);
    await visitor.gone('#last-home');
    await visitor.leave();
  });
});
