import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addEntry } from '@/core/edit/command';
import { logbookOf } from '@/core/model/logbook';
import type { Outing } from '@/core/model/outing';
import { earthModels } from '@/core/north/loaded-earth-models';
import { jsonFormat } from '@/formats/json';
import {
  backupState,
  dailyCopies,
  makeDailyCopy,
  markBackup,
  progressOf,
  wholeLogbook,
} from '@/store/backup';
import { OutingSession } from '@/store/outing-session';
import { addOuting } from '@/store/outings';
import {
  closeAfterEach,
  importInto,
  NOW,
  openDatabase,
  outingsIn,
  outingWithId,
} from '../support/databases';
import { anyOuting, leg } from '../support/outings';

closeAfterEach();

describe('a backup', () => {
  it('has everything, for an empty store and for the same one (generated outings)', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(anyOuting, { minLength: 1, maxLength: 4 }), async (generated) => {
        const outings = generated.map((each, i) => ({ ...each, id: `o${i}` }));
        const database = openDatabase();
        await importInto(database, outings);
        const book = await wholeLogbook(database, NOW);
        const text = jsonFormat.write(book, null);
        const read = jsonFormat.read(text.ok ? text.value : '', earthModels);
        if (!read.ok) throw new Error('a backup can be read');
        const empty = openDatabase();
        await importInto(empty, read.value.outings);
        expect(await outingsIn(empty)).toEqual(await outingsIn(database));
        expect(await importInto(database, read.value.outings, 'replace')).toMatchObject({
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
    const outings = Array.from({ length: 300 }, (_, n) => ({
      ...outingWithId(`o${n}`),
      entries: legs,
    }));
    const text = jsonFormat.write(logbookOf(outings, NOW.toISOString()), null);
    // Larger than the body of a request may be.
    expect(text.ok && text.value.length).toBeGreaterThan(8_000_000);
    const read = jsonFormat.read(text.ok ? text.value : '', null);
    expect(read.ok && read.value.outings).toEqual(outings);
  });

  it('has a damaged outing up to the damage, and its raw records', async () => {
    const database = openDatabase();
    await addOuting(database, outingWithId('one'), NOW);
    await database.changes.add({ outing: 'one', number: 1, at: 'half' } as never);
    await addOuting(database, outingWithId('two'), NOW);
    const book = (await wholeLogbook(database, NOW)) as unknown as {
      outings: Outing[];
      damagedJournals: unknown[];
    };
    expect(book.outings.map(({ id }) => id)).toEqual(['one', 'two']);
    expect(book.damagedJournals).toHaveLength(2);
    const text = jsonFormat.write(book as never, null);
    expect(text.ok && jsonFormat.read(text.value, null).ok).toBe(true);
  });

  it('is reminded of: not at once, and not when nothing changed', async () => {
    const database = openDatabase();
    await addOuting(database, outingWithId('one'), NOW);
    expect(await backupState(database, NOW)).toEqual({ at: null, changesSince: 1, due: false });
    const session = new OutingSession(database, 'one', () => NOW);
    for (let i = 0; i < 19; i++) await session.run(addEntry(leg(10 * i, 10)), null);
    expect(await backupState(database, NOW)).toMatchObject({ changesSince: 20, due: true });
    await markBackup(database, NOW, await progressOf(database));
    const days = (n: number) => new Date(NOW.getTime() + n * 86_400_000);
    expect(await backupState(database, days(30))).toMatchObject({
      at: NOW.toISOString(),
      changesSince: 0,
      due: false,
    });
    await session.run(addEntry(leg(10, 10)), null);
    expect(await backupState(database, days(6))).toMatchObject({ changesSince: 1, due: false });
    expect(await backupState(database, days(8))).toMatchObject({ due: true });
  });
});

describe('daily copies', () => {
  it('are made once a day, when something changed, and the oldest are removed', async () => {
    const database = openDatabase();
    expect(await makeDailyCopy(database, '2026-08-14', NOW)).toBe(false);
    await addOuting(database, outingWithId('one'), NOW);
    expect(await makeDailyCopy(database, '2026-08-14', NOW)).toBe(true);
    expect(await makeDailyCopy(database, '2026-08-14', NOW)).toBe(false);
    expect(await makeDailyCopy(database, '2026-08-15', NOW)).toBe(false);
    for (let day = 15; day < 19; day++) {
      await addOuting(database, outingWithId(`day-${day}`), NOW);
      expect(await makeDailyCopy(database, `2026-08-${day}`, NOW)).toBe(true);
    }
    const copies = await dailyCopies(database);
    expect(copies.map(({ day, outings }) => [day, outings])).toEqual([
      ['2026-08-18', 5],
      ['2026-08-17', 4],
      ['2026-08-16', 3],
    ]);
    const read = jsonFormat.read(copies[0]!.text, null);
    expect(read.ok && read.value.outings).toHaveLength(5);
  });

  it('can restore a damaged outing', async () => {
    const database = openDatabase();
    await addOuting(database, outingWithId('one'), NOW);
    await makeDailyCopy(database, '2026-08-14', NOW);
    await database.changes.update(['one', 0], { change: 'rubbish' } as never);
    expect((await outingsIn(database)).size).toBe(0);
    const [copy] = await dailyCopies(database);
    const read = jsonFormat.read(copy!.text, null);
    if (!read.ok) throw new Error('a copy can be read');
    await importInto(
      database,
      read.value.outings.filter(({ id }) => id === 'one'),
      'keep-both',
    );
    const [back] = [...(await outingsIn(database)).values()];
    expect(back!.entries).toEqual(outingWithId('one').entries);
  });
});

describe('a clock that was wrong', () => {
  const at = (day: string) => new Date(`${day}T12:00:00Z`);

  it('ahead and then right again: the daily copies go on', async () => {
    const database = openDatabase();
    await addOuting(database, outingWithId('one'), NOW);
    const days = ['2026-08-14', '2031-01-01', '2026-08-15', '2026-08-16', '2026-08-17'];
    for (const [n, day] of days.entries()) {
      await addOuting(database, outingWithId(`more-${n}`), at(day));
      expect(await makeDailyCopy(database, day, at(day)), day).toBe(true);
      expect(await makeDailyCopy(database, day, at(day)), day).toBe(false);
    }
    expect((await dailyCopies(database)).map(({ day }) => day)).toEqual([
      '2031-01-01',
      '2026-08-17',
      '2026-08-16',
      '2026-08-15',
    ]);
  });

  it('behind for days: the copies of the right clock stay, and later replace its own', async () => {
    const database = openDatabase();
    const good = ['2026-08-14', '2026-08-15', '2026-08-16'];
    const bad = ['2019-01-01', '2019-01-02', '2019-01-03', '2019-01-04'];
    for (const day of [...good, ...bad]) {
      await addOuting(database, outingWithId(`on-${day}`), at(day));
      expect(await makeDailyCopy(database, day, at(day)), day).toBe(true);
    }
    const days = async () => (await dailyCopies(database)).map(({ day }) => day);
    expect(await days()).toEqual([...good.toReversed(), ...bad.slice(1).toReversed()]);
    await addOuting(database, outingWithId('right again'), at('2026-08-17'));
    await makeDailyCopy(database, '2026-08-17', at('2026-08-17'));
    expect(await days()).toEqual(['2026-08-17', '2026-08-16', '2026-08-15']);
  });

  it('ahead at a backup: the reminder comes all the same', async () => {
    const database = openDatabase();
    await addOuting(database, outingWithId('one'), NOW);
    await markBackup(database, at('2031-01-01'), { changes: 0, digest: '' });
    expect(await backupState(database, at('2026-08-14'))).toMatchObject({ due: true });
  });
});
