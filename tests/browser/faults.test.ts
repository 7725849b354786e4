import { describe, expect, inject, it } from 'vitest';
import { killRun } from '../support/kill-run';
import { Visitor } from './visitor';

/** Makes every write to the database fail as on a full device, until it is let go. */
const fill = (visitor: Visitor) =>
  visitor.page.evaluate(() => {
    const store = IDBObjectStore.prototype as { add: unknown; real?: unknown };
    store.real = store.add;
    store.add = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
  });
const letGo = (visitor: Visitor) =>
  visitor.page.evaluate(() => {
    const store = IDBObjectStore.prototype as { add: unknown; real?: unknown };
    store.add = store.real;
  });

describe('when the store fails', () => {
  it('a full device is told plainly; the leg is in the text offered, and is saved once there is room', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await visitor.startOuting();
    await visitor.log('000 100m');
    await fill(visitor);
    await visitor.type('090 100m > Camp');
    await page.keyboard.press('Enter');
    await visitor.reads('section[role=alert]', /no room left/);
    // Not saved, and not said to be: the leg stands in the line and in the text, not on the page.
    expect(await visitor.legsDrawn()).toBe(1);
    const text = await page.$eval(
      '[aria-label="The log as text"]',
      (area) => (area as HTMLTextAreaElement).value,
    );
    expect(text).toContain('000 100m\n090 100m > Camp\n');
    expect(
      await page.$eval(
        'input[aria-label="Next line of the log"]',
        (input) => (input as HTMLInputElement).value,
      ),
    ).toBe('090 100m > Camp');
    await letGo(visitor);
    await visitor.click('Try again');
    // The ghost of the leg already said as much: what counts is that the warning goes.
    await page.waitForSelector('section[role=alert]', { hidden: true });
    await visitor.home('225°', /Walk 140 m/);
    expect(await visitor.legsDrawn()).toBe(2);
    await page.reload();
    await visitor.home('225°', /Walk 140 m/);
    await visitor.leave();
  });

  it('a browser that keeps nothing is told plainly, on the shelf and on the spread', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await page.evaluateOnNewDocument(() => {
      IDBFactory.prototype.open = () => {
        throw new DOMException('denied', 'SecurityError');
      };
    });
    await page.goto(visitor.url);
    await visitor.reads('[role=alert]', /does not let Cairn Back keep anything/);
    await page.goto(`${visitor.url}/outing?id=x`);
    await visitor.reads('[role=alert]', /does not let Cairn Back keep anything/);
    visitor.problems.splice(0);
    await visitor.leave();
  });

  it('a damaged journal shows what can be read, and offers it to save', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await visitor.startOuting();
    await visitor.log('000 100m');
    await page.evaluate(async () => {
      const database = await new Promise<IDBDatabase>((resolve) => {
        const request = indexedDB.open('cairn-back');
        request.onsuccess = () => resolve(request.result);
      });
      const outing = new URLSearchParams(location.search).get('id');
      const store = database.transaction('changes', 'readwrite').objectStore('changes');
      await new Promise((resolve) => {
        store.add({ outing, number: 2, at: 'never', change: { kind: 'edit' } }).onsuccess = resolve;
      });
      database.close();
    });
    await page.reload();
    await visitor.reads('section[role=alert]', /Part of this log is damaged/);
    const text = await page.$eval('textarea', (area) => (area as HTMLTextAreaElement).value);
    expect(text).toContain('000 100m');
    expect(text).toContain('"at": "never"');
    await visitor.leave();
  });

  it('an outing that is not on this device is said to be missing', async () => {
    const visitor = await Visitor.arrive();
    await visitor.page.goto(`${visitor.url}/outing?id=nowhere`);
    await visitor.reads('main', /no such outing on this device/);
    await visitor.leave();
  });

  it('a database of a newer version is told plainly, and stays as it is', async () => {
    const visitor = await Visitor.arrive();
    await visitor.page.goto(`${visitor.url}/guide`);
    // The browser counts ten to a version of the app's.
    const newer = 990;
    await visitor.page.evaluate(
      (version) =>
        new Promise<void>((resolve) => {
          const open = indexedDB.open('cairn-back', version);
          open.onupgradeneeded = () => {
            for (const name of ['changes', 'counts', 'profiles', 'copies', 'marks']) {
              const keyPath = { changes: ['outing', 'number'], counts: ['count', 'number'] }[name];
              open.result.createObjectStore(name, { keyPath: keyPath ?? 'id' });
            }
          };
          open.onsuccess = () => {
            open.result.close();
            resolve();
          };
        }),
      newer,
    );
    for (const path of ['/', '/files', '/outing?id=x']) {
      await visitor.page.goto(visitor.url + path);
      await visitor.reads('main', /written by a newer version of Cairn Back/);
    }
    const version = await visitor.page.evaluate(
      async () => (await indexedDB.databases()).find(({ name }) => name === 'cairn-back')?.version,
    );
    expect(version).toBe(newer);
    await visitor.context.close();
  });

  it('what names and notes hold stays text on every page', async () => {
    const visitor = await Visitor.arrive();
    await visitor.startOuting();
    const id = new URL(visitor.page.url()).searchParams.get('id')!;
    const harm = '<img src=x onerror="document.title=1"><script>document.title=2</script>';
    await visitor.log(`000 100m > ${harm} ; ${harm}`);
    await visitor.log(`at 40 left 12 ; ${harm}`);
    await visitor.log('090 100m');
    for (const path of ['outing', 'way', 'walk', 'paper', 'pegs', 'files', 'norths']) {
      await visitor.page.goto(`${visitor.url}/${path}?id=${id}`);
      await visitor.page.waitForSelector('main h2, [data-testid=home-sentence]');
      const found = await visitor.page.evaluate(() => ({
        images: document.querySelectorAll('main img').length,
        scripts: document.querySelectorAll('main script').length,
        title: document.title,
      }));
      expect(found, path).toMatchObject({ images: 0, scripts: 0 });
      expect(found.title).not.toMatch(/^[12]$/);
    }
    await visitor.leave();
  });

  // A share of the long run, `npm run faults`.
  it('no leg that the screen said was saved is lost when the browser is killed', async () => {
    const tally = await killRun(inject('url'), 3, Math.floor(Date.now() / 1000));
    expect(tally.lost).toEqual([]);
    expect(tally.acknowledged).toBeGreaterThan(3);
  });
});
