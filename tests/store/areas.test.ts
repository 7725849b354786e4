import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { blankArea, type Area } from '@/core/model/area';
import { addArea, changeArea, storedArea, storedAreas } from '@/store/areas/areas';
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
const edit = (make: (before: Area) => Area) => (state: { area: Area } | null) =>
  state && { kind: 'edit' as const, before: state.area, after: make(state.area) };

describe('areas in the store', () => {
  it('are read back as they were written, the last changed first', async () => {
    const database = openDatabase();
    expect(await addArea(database, area, now)).toEqual({ kind: 'saved' });
    expect(await addArea(database, { ...area, name: 'other' }, now)).toEqual({ kind: 'nothing' });
    await addArea(database, blankArea('a2', 'Shore', []), new Date(now.getTime() + 1000));
    expect((await storedAreas(database)).map((state) => state.area.name)).toEqual([
      'Shore',
      'Plateau',
    ]);
    expect((await storedArea(database, 'a1')).state?.area).toEqual(area);
    await changeArea(database, 'a2', () => ({ kind: 'discard' }), now);
    expect((await storedAreas(database)).map((state) => state.area.id)).toEqual(['a1']);
  });

  it('are changed, undone and redone one step after another', async () => {
    const database = openDatabase();
    await addArea(database, area, now);
    for (const name of ['B', 'C']) await changeArea(database, 'a1', edit(renamed(name)), now);
    const step = (kind: 'undo' | 'redo') =>
      changeArea(
        database,
        'a1',
        (state) => {
          const next = (kind === 'undo' ? state?.undoable : state?.redoable)?.at(-1);
          return next ? { kind, of: next.number } : null;
        },
        now,
      );
    const name = async () => (await storedArea(database, 'a1')).state?.area.name;
    await step('undo');
    expect(await name()).toBe('B');
    await step('undo');
    expect(await name()).toBe('Plateau');
    expect(await step('undo')).toEqual({ kind: 'nothing' });
    await step('redo');
    expect(await name()).toBe('B');
    await changeArea(database, 'a1', edit(renamed('D')), now);
    expect(await step('redo')).toEqual({ kind: 'nothing' });
  });

  it('take the changes of two tabs that write at once, both of them', async () => {
    const database = openDatabase();
    await addArea(database, area, now);
    const add = (id: string) => (before: Area) => ({
      ...before,
      outings: [...before.outings, id],
    });
    await Promise.all(
      Array.from({ length: 12 }, (_, i) => changeArea(database, 'a1', edit(add(`x${i}`)), now)),
    );
    expect((await storedArea(database, 'a1')).state?.area.outings).toHaveLength(14);
  });

  it('stop at a record that does not follow, and write nothing after it', async () => {
    const database = openDatabase();
    await addArea(database, area, now);
    const change = { kind: 'edit' as const, before: renamed('other')(area), after: area };
    await database.areas.add({ area: 'a1', number: 1, at: now.toISOString(), change });
    const { state, damaged } = await storedArea(database, 'a1');
    expect(state?.area).toEqual(area);
    expect(damaged).toBe(true);
    expect(await changeArea(database, 'a1', edit(renamed('E')), now)).toMatchObject({
      kind: 'unsaved',
    });
  });

  it('are in the backup, and come back from it with their outings', async () => {
    const database = openDatabase();
    for (const id of ['one', 'two']) {
      await addOuting(database, { ...outingOf([leg(0, 100)]), id, name: id }, now);
    }
    await addArea(database, area, now);
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
    expect((await storedArea(other, 'a1')).state?.area).toEqual(area);
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
    const { state } = await storedArea(database, areas[0]!);
    expect(state?.area.outings).toEqual(['new', 'two']);
    expect(state?.area.same[0]!.stations[0]).toEqual({ outing: 'new', station: 'Dock' });
  });
});
