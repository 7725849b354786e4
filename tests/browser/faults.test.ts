import { describe, expect, inject, it } from 'vitest';
import { writeStationName } from '@/core/readings/name';
import type { ViewId } from '@/views/views';
import { canMount, fillStore, onSmallDisk } from '../support/browser/small-disk';
import { killRun } from '../support/kill-run';
import { logInTwoTabs } from '../support/two-tabs';
import { LINE, putRecord, sharedVisitor, Visitor } from '../support/browser/visitor';

/** Makes every write to the database fail as on a full device, until `makeRoom`. */
const fillDevice = (visitor: Visitor) =>
  visitor.page.evaluate(() => {
    const store = IDBObjectStore.prototype as { add: unknown; real?: unknown };
    store.real = store.add;
    store.add = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
  });
const makeRoom = (visitor: Visitor) =>
  visitor.page.evaluate(() => {
    const store = IDBObjectStore.prototype as { add: unknown; real?: unknown };
    store.add = store.real;
  });

describe('when the store fails', () => {
  const shared = sharedVisitor();

  it('on a full device, the leg is in the text offered, and saved once there is room', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open(['000 100m']);
    await fillDevice(visitor);
    await visitor.type('090 100m > Camp');
    await page.keyboard.press('Enter');
    await visitor.reads('section[role=alert]', /no space left/);
    // It is neither saved nor said to be: the leg is in the line and in the text, not in the log.
    await visitor.drawsLegs(1);
    expect(await visitor.value('[aria-label="The log as text"]')).toContain(
      '000 100m\n090 100m > Camp\n',
    );
    expect(await visitor.value(LINE)).toBe('090 100m > Camp');
    await makeRoom(visitor);
    await visitor.click('Try again');
    await visitor.gone('section[role=alert]');
    await visitor.home('225°', /Walk 140 m/);
    await visitor.drawsLegs(2);
    await page.reload();
    await visitor.home('225°', /Walk 140 m/);
  });

  it('a damaged change log shows what can be read, and offers it to save', async () => {
    const { visitor } = shared;
    const id = await visitor.open(['000 100m']);
    await putRecord(visitor, { outing: id, number: 1, at: 'never', change: { kind: 'edit' } });
    await visitor.page.reload();
    await visitor.reads('section[role=alert]', /Part of this log is damaged/);
    const text = await visitor.value('textarea');
    expect(text).toContain('000 100m');
    expect(text).toContain('"at": "never"');
  });

  it('an outing that is not on this device is said to be missing', async () => {
    const { visitor } = shared;
    await visitor.goto('outing', 'nowhere');
    await visitor.reads('main', /no such outing on this device/);
  });

  it('names and notes stay text in every view', async () => {
    const { visitor } = shared;
    const harm = '<img src=x onerror="document.title=1"><script>document.title=2</script>';
    const id = await visitor.store([
      `000 100m > ${writeStationName(harm)} ; ${harm}`,
      `at 40 left 12 ; ${harm}`,
      '090 100m',
    ]);
    const views: ViewId[] = ['outing', 'way-home', 'walk', 'print', 'pegs', 'files', 'declination'];
    for (const view of views) {
      await visitor.goto(view, id);
      await visitor.page.waitForSelector('main h2, [data-testid=home-sentence]');
      const found = await visitor.page.evaluate(() => ({
        images: document.querySelectorAll('main img').length,
        scripts: document.querySelectorAll('main script').length,
        title: document.title,
      }));
      expect(found, view).toMatchObject({ images: 0, scripts: 0 });
      expect(found.title).not.toMatch(/^[12]$/);
    }
  });
});

describe('a browser', () => {
  it('that stores nothing is reported plainly, with the outings and in an outing', async () => {
    const visitor = await Visitor.arrive();
    await visitor.page.evaluateOnNewDocument(() => {
      IDBFactory.prototype.open = () => {
        throw new DOMException('denied', 'SecurityError');
      };
    });
    await visitor.goto('outings');
    await visitor.reads('[role=alert]', /doesn’t let Cairn Back store anything/);
    await visitor.goto('outing', 'x');
    await visitor.reads('[role=alert]', /doesn’t let Cairn Back store anything/);
    visitor.problems.splice(0);
    await visitor.leave();
  });

  it('with the database of a newer version is reported, and the database stays', async () => {
    const visitor = await Visitor.arrive();
    await visitor.goto('guide');
    // The browser counts ten for each version of the app's.
    const newer = 990;
    await visitor.page.evaluate(
      (version, tables) =>
        new Promise<void>((resolve) => {
          const open = indexedDB.open('cairn-back', version);
          open.onupgradeneeded = () => {
            for (const name of tables) {
              const keys = {
                changes: ['outing', 'number'],
                counts: ['count', 'number'],
                areas: ['area', 'number'],
                routes: ['route', 'number'],
                places: ['place', 'number'],
                kept: 'key',
                heightTiles: ['sheet', 'tile'],
              };
              const keyPath = keys[name as keyof typeof keys] as string | string[] | undefined;
              open.result.createObjectStore(name, { keyPath: keyPath ?? 'id' });
            }
          };
          open.onsuccess = () => {
            open.result.close();
            resolve();
          };
        }),
      newer,
      [
        'changes',
        'counts',
        'profiles',
        'copies',
        'marks',
        'snapshots',
        'areas',
        'knownPlaces',
        'routes',
        'pictures',
        'pictureFiles',
        'kept',
        'places',
        'attempts',
        'courses',
        'courseResults',
        'blindWalks',
        'heightSheets',
        'heightTiles',
      ],
    );
    for (const [view, id] of [['outings'], ['files'], ['outing', 'x']] as const) {
      await visitor.goto(view, id);
      await visitor.reads('main', /written by a newer version of Cairn Back/);
    }
    const version = await visitor.page.evaluate(
      async () => (await indexedDB.databases()).find(({ name }) => name === 'cairn-back')?.version,
    );
    expect(version).toBe(newer);
    await visitor.context.close();
  });

  it('that empties its store under an open tab has the outing again, and says so', async () => {
    const visitor = await Visitor.arrive();
    await visitor.open(['000 100m']);
    await visitor.log('090 100m');
    await visitor.page.evaluate(
      () =>
        new Promise<void>((resolve, reject) => {
          const gone = indexedDB.deleteDatabase('cairn-back');
          gone.onsuccess = () => resolve();
          gone.onerror = () => reject(new Error('the database can’t be deleted'));
        }),
    );
    await visitor.reads('section[role=alert]', /The browser emptied its store/);
    await visitor.log('180 100m');
    await visitor.page.reload();
    await visitor.home('270°', /Walk 100 m/);
    await visitor.drawsLegs(3);
    await visitor.leave();
  });

  it.runIf(canMount())('whose disk is full keeps the line, and says so', async () => {
    await onSmallDisk(async (browser) => {
      const page = await browser.newPage();
      const url = inject('url');
      await page.goto(url);
      await (await page.waitForSelector('aria/Start an outing'))!.click();
      await page.waitForSelector(LINE);
      const room = await page.evaluate(fillStore);
      expect(room).toBe('QuotaExceededError');
      // Some lines may fit in what is left; each is either saved or kept.
      let said = 0;
      for (; said < 400; said++) {
        await page.focus(LINE);
        await page.keyboard.sendCharacter(`000 ${said + 1}m ; ${'x'.repeat(1500)}`);
        await page.keyboard.press('Enter');
        const ended = await page.waitForFunction(
          (line: string) =>
            document.querySelector('section[role=alert]')?.textContent ??
            (document.querySelector<HTMLInputElement>(line)!.value === '' ? 'saved' : null),
          {},
          LINE,
        );
        const words = (await ended.jsonValue())!;
        if (words === 'saved') continue;
        expect(words).toMatch(/no space left/);
        break;
      }
      expect(said).toBeLessThan(400);
      expect(await page.$eval(LINE, (field) => (field as HTMLInputElement).value)).toMatch(
        new RegExp(`^000 ${said + 1}m`),
      );
      await page.reload();
      await page.waitForSelector('[data-testid=home-sentence]');
      const legs = await page.$$eval('[data-kind=leg]', (paths) =>
        paths.reduce((sum, path) => sum + path.getAttribute('d')!.split('L').length - 1, 0),
      );
      expect(legs).toBe(said);
    });
  });

  it('with two tabs that log into one outing at once loses none, and has none twice', async () => {
    const visitor = await Visitor.arrive();
    await visitor.open(['000 100m']);
    const { pathname, search } = new URL(visitor.page.url());
    const other = await visitor.tab(pathname + search);
    await other.page.waitForSelector('[data-testid=home-sentence]');
    const tally = await logInTwoTabs(visitor.page, other.page, 15);
    expect(tally).toEqual({ lost: [], twice: [], legs: 30 });
    await visitor.leave();
  });

  // A share of the long run, `npm run faults`.
  it('that is killed loses no leg that the screen said was saved', async () => {
    const tally = await killRun(inject('url'), 3, Math.floor(Date.now() / 1000));
    expect(tally.lost).toEqual([]);
    expect(tally.kills).toBe(3);
    expect(tally.acknowledged).toBeGreaterThanOrEqual(6);
    expect(tally.taps).toBeGreaterThanOrEqual(3);
  });
});
