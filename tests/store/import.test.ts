import 'fake-indexeddb/auto';
import { describe, expect, it, vi } from 'vitest';
import { wholeLogbook } from '@/store/backup';
import { importCandidates } from '@/store/import';
import { OutingSession } from '@/store/outing-session';
import { addOuting, markOuting } from '@/store/outings';
import { demo } from '../support/files';
import {
  closeAfterEach,
  importInto,
  NOW,
  openDatabase,
  outingsIn,
  outingWithId,
} from '../support/databases';

closeAfterEach();

describe('an import', () => {
  it('says what is there already before anything is written', async () => {
    const database = openDatabase();
    for (const id of ['same', 'other', 'gone']) await addOuting(database, outingWithId(id), NOW);
    await markOuting(database, 'gone', 'discard', NOW);
    await database.changes.add({ outing: 'broken', number: 0, at: 'never', change: {} } as never);
    const incoming = [
      outingWithId('new', '100 7m\n200 9m'),
      outingWithId('same'),
      outingWithId('other', '180 5m'),
      outingWithId('gone'),
      outingWithId('broken'),
    ];
    const before = await database.changes.toArray();
    const candidates = await importCandidates(database, incoming);
    expect(candidates.map(({ conflict }) => conflict)).toEqual([
      'nothing',
      'same',
      'other',
      'discarded',
      'damaged',
    ]);
    expect(await database.changes.toArray()).toEqual(before);
  });

  it('keeps both, replaces, or skips, as chosen', async () => {
    const other = outingWithId('one', '180 5m > Camp ; new');
    for (const [choice, expected] of [
      ['skip', { skipped: 1, added: 0, replaced: 0 }],
      ['keep-both', { skipped: 0, added: 1, replaced: 0 }],
      ['replace', { skipped: 0, added: 0, replaced: 1 }],
    ] as const) {
      const database = openDatabase();
      await addOuting(database, outingWithId('one'), NOW);
      expect(await importInto(database, [other], choice)).toMatchObject(expected);
      const there = await outingsIn(database);
      expect(there.size).toBe(choice === 'keep-both' ? 2 : 1);
      expect(there.get('one')).toEqual(choice === 'replace' ? other : outingWithId('one'));
      if (choice !== 'replace') continue;
      // Replacing can be undone like any other change.
      const session = new OutingSession(database, 'one', () => NOW);
      await session.undo();
      expect((await outingsIn(database)).get('one')).toEqual(outingWithId('one'));
      await session.redo();
      expect((await outingsIn(database)).get('one')).toEqual(other);
    }
  });

  it('skips what is the same, restores what was deleted, keeps two of one id as two', async () => {
    const database = openDatabase();
    await addOuting(database, outingWithId('one'), NOW);
    expect(await importInto(database, [outingWithId('one')], 'replace')).toMatchObject({
      skipped: 1,
      replaced: 0,
    });
    await markOuting(database, 'one', 'discard', NOW);
    expect(await importInto(database, [outingWithId('one')], 'replace')).toMatchObject({
      replaced: 1,
    });
    expect((await outingsIn(database)).get('one')).toEqual(outingWithId('one'));
    const twice = openDatabase();
    expect(
      await importInto(twice, [outingWithId('x'), outingWithId('x', '180 1m')], 'replace'),
    ).toMatchObject({
      added: 2,
    });
    expect((await outingsIn(twice)).size).toBe(2);
  });

  it('adds beside a damaged change log, and never writes on it', async () => {
    const database = openDatabase();
    await database.changes.add({ outing: 'one', number: 0, at: 'never', change: {} } as never);
    expect(await importInto(database, [outingWithId('one')], 'replace')).toMatchObject({
      added: 1,
    });
    expect(
      await database.changes
        .where('[outing+number]')
        .between(['one', 0], ['one', Infinity])
        .count(),
    ).toBe(1);
  });

  it('writes all or nothing: a failure at the last outing leaves the store as it was', async () => {
    const database = openDatabase();
    await addOuting(database, outingWithId('one'), NOW);
    const before = await database.changes.toArray();
    const many = Array.from({ length: 20 }, (_, i) => outingWithId(`in-${i}`));
    const add = database.changes.add.bind(database.changes);
    let calls = 0;
    vi.spyOn(database.changes, 'add').mockImplementation(((record: never) => {
      if (++calls === 20) throw new DOMException('full', 'QuotaExceededError');
      return add(record);
    }) as never);
    await expect(importInto(database, many)).rejects.toThrow();
    vi.restoreAllMocks();
    expect(await database.changes.toArray()).toEqual(before);
    await expect(
      importInto(database, [outingWithId('fine'), { id: '' } as never]),
    ).rejects.toThrow();
    expect(await database.changes.toArray()).toEqual(before);
  });

  it('merges profiles: no calibration is lost, none is there twice', async () => {
    const database = openDatabase();
    const calibration = (id: string) => ({
      id,
      at: NOW.toISOString(),
      course: { value: 100, unit: 'metres' as const },
      counted: 'paces' as const,
      counts: [65],
    });
    await database.profiles.put({ id: 'p', name: 'Mine', calibrations: [calibration('a')] });
    await importInto(database, [], 'skip', [
      { id: 'p', name: 'Theirs', calibrations: [calibration('a'), calibration('b')] },
      { id: 'q', name: 'Other', calibrations: [] },
    ]);
    const [mine, other] = await database.profiles.toArray();
    expect(mine).toMatchObject({ name: 'Mine', calibrations: [{ id: 'a' }, { id: 'b' }] });
    expect(other).toMatchObject({ id: 'q' });
  });
});

describe('the demo', () => {
  it('keeps its id through a backup', async () => {
    const database = openDatabase();
    const { outing } = demo;
    await importInto(database, [outing]);
    expect((await wholeLogbook(database, NOW)).outings).toEqual([outing]);
  });
});
