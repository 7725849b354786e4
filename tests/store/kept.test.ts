import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { addEntry } from '@/core/edit/command';
import { keepChoice } from '@/store/keep-choice';
import { agreeOnKept, keptChoice, keptNow, type Kept } from '@/store/kept-choice';
import { OutingSession } from '@/store/outing-session';
import { addOuting } from '@/store/outings';
import { closeAfterEach, newName, NOW, openDatabase, outingWithId } from '../support/databases';
import { leg } from '../support/outings';

closeAfterEach();

/** The browser's storage for choices, of which a killed browser loses the last seconds. */
class Copies {
  readonly all = new Map<string, string>();
  getItem = (key: string) => this.all.get(key) ?? null;
  setItem = (key: string, value: string) => void this.all.set(key, value);
  removeItem = (key: string) => void this.all.delete(key);
}
let copies: Copies;

beforeEach(() => {
  copies = new Copies();
  const listed = new Proxy(copies, {
    ownKeys: ({ all }) => [...all.keys()],
    getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
  });
  vi.stubGlobal('localStorage', listed);
});
afterEach(() => vi.unstubAllGlobals());

describe('a choice', () => {
  it('is durable when it is said to be, and only then remembered', async () => {
    const database = openDatabase();
    let isWritten = false;
    const slow = {
      put: async (kept: Kept) => {
        expect(keptChoice('cairn-units')).toBeNull();
        await database.kept.put(kept);
        isWritten = true;
      },
      toArray: () => database.kept.toArray(),
      bulkPut: () => Promise.resolve(),
    };
    await keepChoice('cairn-units', 'feet', () => Promise.resolve(slow));
    expect(isWritten).toBe(true);
    expect(keptChoice('cairn-units')).toBe('feet');
  });

  it('comes back after a kill that lost its copy, or left an older one', async () => {
    const name = newName();
    const database = openDatabase(name);
    const table = () => Promise.resolve(database.kept);
    await keepChoice('cairn-light', 'dark', table);
    const older = new Map(copies.all);
    await keepChoice('cairn-light', 'night', table);
    await keepChoice('cairn-errors', '{"set":[]}', table);
    database.close();
    copies.all.clear();
    for (const [key, value] of older) copies.all.set(key, value);
    await openDatabase(name).open();
    expect(keptChoice('cairn-light')).toBe('night');
    expect(keptChoice('cairn-errors')).toBe('{"set":[]}');
  });

  it('that was typed as the page was left is taken from its copy', async () => {
    const name = newName();
    const database = openDatabase(name);
    await keepChoice('cairn-line-one', '220 6', () => Promise.resolve(database.kept));
    database.close();
    // The copy is put first; the page went away before the database had it.
    copies.all.set('cairn-line-one', '220 65p');
    const again = openDatabase(name);
    await again.open();
    expect(keptChoice('cairn-line-one')).toBe('220 65p');
    expect((await again.kept.get('cairn-line-one'))?.value).toBe('220 65p');
  });

  it('of an older version, which had copies alone, is written into the database', async () => {
    copies.all.set('cairn-units', '{"lengths":"chains"}');
    copies.all.set('cairn-home-one', '{"bearing":"228"}');
    copies.all.set('other-app', 'x');
    const database = openDatabase();
    expect((await database.kept.toArray()).map(({ key }) => key)).toEqual(['cairn-units']);
  });

  it('that the database refuses holds for this browser, and is said not to be kept', async () => {
    const full = {
      put: () => Promise.reject(new DOMException('full', 'QuotaExceededError')),
      toArray: () => Promise.resolve([]),
      bulkPut: () => Promise.resolve(),
    };
    expect(await keepChoice('cairn-light', 'night', () => Promise.resolve(full))).toBe(false);
    expect(keptChoice('cairn-light')).toBe('night');
    await agreeOnKept(full);
    expect(keptChoice('cairn-light')).toBe('night');
  });
});

describe('a line that is typed and logged', () => {
  it('is forgotten with the log of it: both are written, or neither', async () => {
    const database = openDatabase();
    await addOuting(database, outingWithId('one'), NOW);
    const table = () => Promise.resolve(database.kept);
    await keepChoice('cairn-line-one', '220 65m', table);
    const session = new OutingSession(database, 'one', () => NOW);
    const logged = await session.run(addEntry(leg(220, 65)), null, keptNow('cairn-line-one', null));
    expect(logged.kind).toBe('saved');
    expect((await database.kept.get('cairn-line-one'))?.value).toBeNull();
    expect(keptChoice('cairn-line-one')).toBeNull();

    await keepChoice('cairn-line-one', '230 70m', table);
    const put = vi.spyOn(database.kept, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    const next = keptNow('cairn-line-one', null);
    expect(await session.run(addEntry(leg(230, 70)), null, next)).toMatchObject({ fault: 'full' });
    put.mockRestore();
    expect(await database.changes.where('[outing+number]').aboveOrEqual(['one', 0]).count()).toBe(
      2,
    );
    expect((await database.kept.get('cairn-line-one'))?.value).toBe('230 70m');
  });
});
