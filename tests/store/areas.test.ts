import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { blankArea, type Area } from '@/core/model/area';
import { stepOf } from '@/store/change-log';
import { areaLogs } from '@/store/documents/areas';
import { wholeLogbook } from '@/store/backup';
import { importOutings } from '@/store/import';
import { addOuting } from '@/store/outings';
import { leg, outingOf } from '../support/outings';
import { closeAfterEach, openDatabase } from '../support/databases';

closeAfterEach();

const now = new Date('2026-08-14T12:00:00.000Z');
const area: Area = {
  ...blankArea('a1', 'Plateau', ['one', 'two']),
  same: [
    {
      stations: [
        { outing: 'one', station: 'Dock' },
        { outing: 'two', station: 'dock' },
      ],
    },
  ],
};
const renamed = (name: string) => (before: Area) => ({ ...before, name });
const edit = (make: (before: Area) => Area) => (state: { document: Area } | null) =>
  state && { kind: 'edit' as const, before: state.document, after: make(state.document) };

describe('areas in the store', () => {
  it('are read back as they were written, the last changed first', async () => {
    const database = openDatabase();
    expect(await areaLogs.add(database, area, now)).toEqual({ kind: 'saved' });
    expect(await areaLogs.add(database, { ...area, name: 'other' }, now)).toEqual({
      kind: 'nothing',
    });
    await areaLogs.add(database, blankArea('a2', 'Shore', []), new Date(now.getTime() + 1000));
    expect((await areaLogs.all(database)).map((state) => state.document.name)).toEqual([
      'Shore',
      'Plateau',
    ]);
    expect((await areaLogs.stored(database, 'a1')).state?.document).toEqual(area);
    await areaLogs.change(database, 'a2', () => ({ kind: 'discard' }), now);
    expect((await areaLogs.all(database)).map((state) => state.document.id)).toEqual(['a1']);
  });

  it('are changed, undone and redone one step after another', async () => {
    const database = openDatabase();
    await areaLogs.add(database, area, now);
    for (const name of ['B', 'C']) await areaLogs.change(database, 'a1', edit(renamed(name)), now);
    const step = (kind: 'undo' | 'redo') =>
      areaLogs.change(database, 'a1', (state) => state && stepOf(kind, state), now);
    const name = async () => (await areaLogs.stored(database, 'a1')).state?.document.name;
    await step('undo');
    expect(await name()).toBe('B');
    await step('undo');
    expect(await name()).toBe('Plateau');
    expect(await step('undo')).toEqual({ kind: 'nothing' });
    await step('redo');
    expect(await name()).toBe('B');
    await areaLogs.change(database, 'a1', edit(renamed('D')), now);
    expect(await step('redo')).toEqual({ kind: 'nothing' });
  });

  it('take the changes of two tabs that write at once, both of them', async () => {
    const database = openDatabase();
    await areaLogs.add(database, area, now);
    const add = (id: string) => (before: Area) => ({
      ...before,
      outings: [...before.outings, id],
    });
    await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        areaLogs.change(database, 'a1', edit(add(`x${i}`)), now),
      ),
    );
    expect((await areaLogs.stored(database, 'a1')).state?.document.outings).toHaveLength(14);
  });

  it('stop at a record that does not follow, and write nothing after it', async () => {
    const database = openDatabase();
    await areaLogs.add(database, area, now);
    const change = { kind: 'edit' as const, before: renamed('other')(area), after: area };
    await database.areas.add({ area: 'a1', number: 1, at: now.toISOString(), change });
    const { state, damage } = await areaLogs.stored(database, 'a1');
    expect(state?.document).toEqual(area);
    expect(damage?.number).toBe(1);
    expect(await areaLogs.change(database, 'a1', edit(renamed('E')), now)).toMatchObject({
      kind: 'unsaved',
    });
  });

  it('are in the backup, and come back from it with their outings', async () => {
    const database = openDatabase();
    for (const id of ['one', 'two']) {
      await addOuting(database, { ...outingOf([leg(0, 100)]), id, name: id }, now);
    }
    await areaLogs.add(database, area, now);
    const book = await wholeLogbook(database, now);
    expect(book).toMatchObject({ version: 2, areas: [area] });

    const other = openDatabase();
    const take = (choice: 'keep-both' | 'replace') =>
      importOutings(other, book.outings, [], () => choice, {
        now,
        newId: (() => {
          let next = 0;
          return () => `new ${next++}`;
        })(),
        areas: book.areas,
      });
    expect((await take('replace')).areas).toEqual(['a1']);
    expect((await areaLogs.stored(other, 'a1')).state?.document).toEqual(area);
    // The same once more changes nothing.
    expect((await take('replace')).areas).toEqual([]);
  });

  it('name the outings by their new ids where both were kept', async () => {
    const database = openDatabase();
    await addOuting(database, { ...outingOf([leg(90, 50)]), id: 'one', name: 'mine' }, now);
    const theirs = { ...outingOf([leg(0, 100)]), id: 'one', name: 'theirs' };
    const { areas } = await importOutings(database, [theirs], [], () => 'keep-both', {
      now,
      newId: () => 'new',
      areas: [area],
    });
    const { state } = await areaLogs.stored(database, areas[0]!);
    expect(state?.document.outings).toEqual(['new', 'two']);
    expect(state?.document.same[0]!.stations[0]).toEqual({ outing: 'new', station: 'Dock' });
  });
});
