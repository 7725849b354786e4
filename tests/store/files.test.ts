import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { addEntry } from '@/core/edit/command';
import { earthModels } from '@/core/earth-models-loaded';
import type { Outing } from '@/core/logbook';
import { jsonFormat, logbookOf } from '@/formats/json';
import {
  backupState,
  makeNightlyCopy,
  markBackup,
  nightlyCopies,
  wholeLogbook,
} from '@/store/backup';
import { CairnDatabase, openingFault, SCHEMA_VERSION } from '@/store/database';
import { OutingSession } from '@/store/outing-session';
import { mark, putOnShelf, shelf } from '@/store/shelf';
import { meeting, takeIn, type Clash } from '@/store/take-in';
import { anyOuting, leg, solvedLog } from '../support/outings';

const now = new Date('2026-08-14T09:40:00Z');
let count = 0;
const opened: CairnDatabase[] = [];
function fresh() {
  const database = new CairnDatabase(`files-${count++}`);
  opened.push(database);
  return database;
}
afterEach(() => {
  vi.restoreAllMocks();
  for (const database of opened.splice(0)) database.close();
});

const outing = (id: string, text = '000 10m\n090 20m'): Outing => ({
  ...solvedLog(text).outing,
  id,
});
let ids = 0;
const take = (
  database: CairnDatabase,
  outings: Outing[],
  clash: Clash = 'skip',
  profiles: Parameters<typeof takeIn>[2] = [],
) => takeIn(database, outings, profiles, () => clash, { now, newId: () => `new-${ids++}` });
const onShelf = async (database: CairnDatabase) =>
  new Map((await shelf(database)).map(({ page }) => [page.outing.id, page.outing]));

describe('taking in', () => {
  it('tells what each outing meets before anything is written', async () => {
    const database = fresh();
    for (const id of ['same', 'other', 'gone']) await putOnShelf(database, outing(id), now);
    await mark(database, 'gone', 'discard', now);
    await database.changes.add({ outing: 'broken', number: 0, at: 'never', change: {} } as never);
    const incoming = [
      outing('new'),
      outing('same'),
      outing('other', '180 5m'),
      outing('gone'),
      outing('broken'),
    ];
    const before = await database.changes.toArray();
    const met = await meeting(database, incoming);
    expect(met.map(({ meets }) => meets)).toEqual([
      'nothing',
      'same',
      'other',
      'discarded',
      'damaged',
    ]);
    expect(await database.changes.toArray()).toEqual(before);
  });

  it('keeps both, replaces, or skips, as it is told', async () => {
    const other = outing('one', '180 5m > Camp ; new');
    for (const [clash, expected] of [
      ['skip', { skipped: 1, added: 0, replaced: 0 }],
      ['keep-both', { skipped: 0, added: 1, replaced: 0 }],
      ['replace', { skipped: 0, added: 0, replaced: 1 }],
    ] as const) {
      const database = fresh();
      await putOnShelf(database, outing('one'), now);
      expect(await take(database, [other], clash)).toMatchObject(expected);
      const there = await onShelf(database);
      expect(there.size).toBe(clash === 'keep-both' ? 2 : 1);
      expect(there.get('one')).toEqual(clash === 'replace' ? other : outing('one'));
      if (clash !== 'replace') continue;
      // What was replaced can be had back like any other change.
      const session = new OutingSession(database, 'one', () => now);
      await session.undo();
      expect((await onShelf(database)).get('one')).toEqual(outing('one'));
      await session.redo();
      expect((await onShelf(database)).get('one')).toEqual(other);
    }
  });

  it('skips what is there already, puts back what was discarded, and keeps two of one id as two', async () => {
    const database = fresh();
    await putOnShelf(database, outing('one'), now);
    expect(await take(database, [outing('one')], 'replace')).toMatchObject({
      skipped: 1,
      replaced: 0,
    });
    await mark(database, 'one', 'discard', now);
    expect(await take(database, [outing('one')], 'replace')).toMatchObject({ replaced: 1 });
    expect((await onShelf(database)).get('one')).toEqual(outing('one'));
    const twice = fresh();
    expect(await take(twice, [outing('x'), outing('x', '180 1m')], 'replace')).toMatchObject({
      added: 2,
    });
    expect((await onShelf(twice)).size).toBe(2);
  });

  it('never writes on a damaged journal, but beside it', async () => {
    const database = fresh();
    await database.changes.add({ outing: 'one', number: 0, at: 'never', change: {} } as never);
    expect(await take(database, [outing('one')], 'replace')).toMatchObject({ added: 1 });
    expect(
      await database.changes
        .where('[outing+number]')
        .between(['one', 0], ['one', Infinity])
        .count(),
    ).toBe(1);
  });

  it('writes all or nothing: a failure at the last outing leaves the store as it was', async () => {
    const database = fresh();
    await putOnShelf(database, outing('one'), now);
    const before = await database.changes.toArray();
    const many = Array.from({ length: 20 }, (_, i) => outing(`in-${i}`));
    const add = database.changes.add.bind(database.changes);
    let calls = 0;
    vi.spyOn(database.changes, 'add').mockImplementation(((record: never) => {
      if (++calls === 20) throw new DOMException('full', 'QuotaExceededError');
      return add(record);
    }) as never);
    await expect(take(database, many)).rejects.toThrow();
    vi.restoreAllMocks();
    expect(await database.changes.toArray()).toEqual(before);
    await expect(take(database, [outing('fine'), { id: '' } as never])).rejects.toThrow();
    expect(await database.changes.toArray()).toEqual(before);
  });

  it('joins profiles: no calibration is lost, none comes twice', async () => {
    const database = fresh();
    const calibration = (id: string) => ({
      id,
      at: now.toISOString(),
      course: { value: 100, unit: 'metres' as const },
      counted: 'paces' as const,
      counts: [65],
    });
    await database.profiles.put({ id: 'p', name: 'Mine', calibrations: [calibration('a')] });
    await take(database, [], 'skip', [
      { id: 'p', name: 'Theirs', calibrations: [calibration('a'), calibration('b')] },
      { id: 'q', name: 'Other', calibrations: [] },
    ]);
    const [mine, other] = await database.profiles.toArray();
    expect(mine).toMatchObject({ name: 'Mine', calibrations: [{ id: 'a' }, { id: 'b' }] });
    expect(other).toMatchObject({ id: 'q' });
  });
});

describe('a backup', () => {
  it('holds everything, and restores into an empty store and into the same one (generated outings)', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(anyOuting, { minLength: 1, maxLength: 4 }), async (generated) => {
        const outings = generated.map((each, i) => ({ ...each, id: `o${i}` }));
        const database = fresh();
        await take(database, outings);
        const book = await wholeLogbook(database, now);
        const text = jsonFormat.write(book, null);
        const read = jsonFormat.read(text.ok ? text.value : '', earthModels);
        if (!read.ok) throw new Error('a backup can be read');
        const empty = fresh();
        await take(empty, read.value.outings);
        expect(await onShelf(empty)).toEqual(await onShelf(database));
        expect(await take(database, read.value.outings, 'replace')).toMatchObject({
          skipped: outings.length,
          added: 0,
          replaced: 0,
        });
      }),
      { numRuns: 25, seed: 9 },
    );
  });

  it('of 300 outings with 100 legs each can be read again', () => {
    const legs = Array.from({ length: 100 }, (_, n) =>
      leg((n * 37) % 360, 50 + n, { note: 'snag' }),
    );
    const outings = Array.from({ length: 300 }, (_, n) => ({ ...outing(`o${n}`), entries: legs }));
    const text = jsonFormat.write(logbookOf(outings, now.toISOString()), null);
    // Larger than what a request may bring.
    expect(text.ok && text.value.length).toBeGreaterThan(8_000_000);
    const read = jsonFormat.read(text.ok ? text.value : '', null);
    expect(read.ok && read.value.outings).toEqual(outings);
  });

  it('of a damaged outing has the page up to there, and the records as they are', async () => {
    const database = fresh();
    await putOnShelf(database, outing('one'), now);
    await database.changes.add({ outing: 'one', number: 1, at: 'half' } as never);
    await putOnShelf(database, outing('two'), now);
    const book = (await wholeLogbook(database, now)) as unknown as {
      outings: Outing[];
      damagedJournals: unknown[];
    };
    expect(book.outings.map(({ id }) => id)).toEqual(['one', 'two']);
    expect(book.damagedJournals).toHaveLength(2);
    const text = jsonFormat.write(book as never, null);
    expect(text.ok && jsonFormat.read(text.value, null).ok).toBe(true);
  });

  it('is reminded of gently: not at once, not when nothing was written', async () => {
    const database = fresh();
    await putOnShelf(database, outing('one'), now);
    expect(await backupState(database, now)).toEqual({ at: null, changesSince: 1, due: false });
    const session = new OutingSession(database, 'one', () => now);
    for (let i = 0; i < 19; i++) await session.run(addEntry(leg(10 * i, 10)), null);
    expect(await backupState(database, now)).toMatchObject({ changesSince: 20, due: true });
    await markBackup(database, now, 20);
    const days = (n: number) => new Date(now.getTime() + n * 86_400_000);
    expect(await backupState(database, days(30))).toMatchObject({
      at: now.toISOString(),
      changesSince: 0,
      due: false,
    });
    await session.run(addEntry(leg(10, 10)), null);
    expect(await backupState(database, days(6))).toMatchObject({ changesSince: 1, due: false });
    expect(await backupState(database, days(8))).toMatchObject({ due: true });
  });
});

describe('nightly copies', () => {
  it('are made once a day, only when something changed, and the oldest go', async () => {
    const database = fresh();
    expect(await makeNightlyCopy(database, '2026-08-14', now)).toBe(false);
    await putOnShelf(database, outing('one'), now);
    expect(await makeNightlyCopy(database, '2026-08-14', now)).toBe(true);
    expect(await makeNightlyCopy(database, '2026-08-14', now)).toBe(false);
    expect(await makeNightlyCopy(database, '2026-08-15', now)).toBe(false);
    for (let day = 15; day < 19; day++) {
      await putOnShelf(database, outing(`day-${day}`), now);
      expect(await makeNightlyCopy(database, `2026-08-${day}`, now)).toBe(true);
    }
    const copies = await nightlyCopies(database);
    expect(copies.map(({ day, outings }) => [day, outings])).toEqual([
      ['2026-08-18', 5],
      ['2026-08-17', 4],
      ['2026-08-16', 3],
    ]);
    const read = jsonFormat.read(copies[0]!.text, null);
    expect(read.ok && read.value.outings).toHaveLength(5);
  });

  it('bring a damaged outing back', async () => {
    const database = fresh();
    await putOnShelf(database, outing('one'), now);
    await makeNightlyCopy(database, '2026-08-14', now);
    await database.changes.update(['one', 0], { change: 'rubbish' } as never);
    expect((await onShelf(database)).size).toBe(0);
    const [copy] = await nightlyCopies(database);
    const read = jsonFormat.read(copy!.text, null);
    if (!read.ok) throw new Error('a copy can be read');
    await take(
      database,
      read.value.outings.filter(({ id }) => id === 'one'),
      'keep-both',
    );
    const [back] = [...(await onShelf(database)).values()];
    expect(back!.entries).toEqual(outing('one').entries);
  });
});

describe('databases of other versions', () => {
  /** The stores of each released version, as they were written then. */
  const RELEASED: Record<number, Record<string, string>> = {
    1: { changes: '[outing+number]' },
    2: { changes: '[outing+number]', counts: '[count+number]', profiles: 'id' },
  };

  it.each(Object.keys(RELEASED).map(Number))(
    'version %i is carried on with all it holds',
    async (version) => {
      const name = `released-${count++}`;
      const old = new Dexie(name);
      old.version(version).stores(RELEASED[version]!);
      await old.open();
      const create = {
        outing: 'one',
        number: 0,
        at: now.toISOString(),
        change: { kind: 'create', outing: outing('one') },
      };
      await old.table('changes').add(create);
      if (version >= 2) {
        await old.table('profiles').add({ id: 'p', name: 'Mine', calibrations: [] });
        await old
          .table('counts')
          .add({ count: 'one', number: 0, at: now.toISOString(), line: { kind: 'undo' } });
      }
      old.close();
      const database = new CairnDatabase(name);
      opened.push(database);
      expect(await openingFault(database)).toBeNull();
      expect((await onShelf(database)).get('one')).toEqual(outing('one'));
      expect(await database.profiles.count()).toBe(version >= 2 ? 1 : 0);
      expect(await database.counts.count()).toBe(version >= 2 ? 1 : 0);
      await markBackup(database, now, 1);
      expect(await backupState(database, now)).toMatchObject({ changesSince: 0 });
    },
  );

  it('a newer one is told, and nothing is written into it', async () => {
    const name = `newer-${count++}`;
    const newer = new Dexie(name);
    newer
      .version(SCHEMA_VERSION + 1)
      .stores({ ...RELEASED[2], copies: 'day', marks: 'name', later: 'id' });
    await newer.open();
    await newer.table('later').add({ id: 1 });
    newer.close();
    const database = new CairnDatabase(name);
    opened.push(database);
    expect(await openingFault(database)).toBe('newer');
    await expect(putOnShelf(database, outing('one'), now)).rejects.toThrow();
    database.close();
    await newer.open();
    expect(await newer.table('later').count()).toBe(1);
    expect(await newer.table('changes').count()).toBe(0);
    newer.close();
  });

  it('a migration that is broken off leaves the database as it was', async () => {
    const name = `broken-off-${count++}`;
    const old = new Dexie(name);
    old.version(1).stores(RELEASED[1]!);
    await old.open();
    await old.table('changes').add({
      outing: 'one',
      number: 0,
      at: now.toISOString(),
      change: { kind: 'create', outing: outing('one') },
    });
    old.close();
    const torn = new Dexie(name);
    torn.version(1).stores(RELEASED[1]!);
    torn
      .version(2)
      .stores(RELEASED[2]!)
      .upgrade(() => {
        throw new Error('the tab was closed');
      });
    await expect(torn.open()).rejects.toThrow();
    torn.close();
    const database = new CairnDatabase(name);
    opened.push(database);
    expect(await openingFault(database)).toBeNull();
    expect((await onShelf(database)).get('one')).toEqual(outing('one'));
  });
});

describe('the demo', () => {
  it('goes out and comes back through a backup with its own id', async () => {
    const database = fresh();
    const demo = { ...solvedLogOf(readFileSync('demo/rain-gauges.log.txt', 'utf8')), id: 'demo' };
    await take(database, [demo]);
    expect((await wholeLogbook(database, now)).outings).toEqual([demo]);
  });
});
const solvedLogOf = (text: string) => solvedLog(text).outing;
