import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { logbookSchema } from '@/core/model/logbook';
import { wholeLogbook } from '@/store/backup';
import { CairnDatabase } from '@/store/database';
import { importOutings } from '@/store/import';
import {
  addKnownPlaces,
  knownPlaces,
  putKnownPlace,
  removeKnownPlace,
  undoKnownPlace,
} from '@/store/known/known-places';

let count = 0;
const newId = () => `new-${++count}`;
const database = () => new CairnDatabase(`known-${++count}`);
const NOW = new Date('2026-08-14T09:40:00Z');
const at = (latitude: number) => [{ latitude, longitude: -63.5 }];

describe('known places in the store', () => {
  it('are there by name, changed in place, and removed', async () => {
    const store = database();
    await putKnownPlace(store, { id: 'm', name: 'Mast', positions: at(54.2) }, NOW);
    await putKnownPlace(
      store,
      { id: 'h', name: 'Hill', positions: at(54.3), withinMetres: 100 },
      NOW,
    );
    expect((await knownPlaces(store)).map(({ name }) => name)).toEqual(['Hill', 'Mast']);
    await putKnownPlace(store, { id: 'h', name: 'Low hill', positions: at(54.3) }, NOW);
    await removeKnownPlace(store, 'm', NOW);
    expect(await knownPlaces(store)).toEqual([{ id: 'h', name: 'Low hill', positions: at(54.3) }]);
    await expect(putKnownPlace(store, { id: 'x', name: '', positions: [] }, NOW)).rejects.toThrow();
    store.close();
  });

  it('are added once, and get another id where theirs is taken', async () => {
    const store = database();
    const mast = { id: 'm', name: 'Mast', positions: at(54.2) };
    expect(await addKnownPlaces(store, [mast], NOW, newId)).toBe(1);
    const other = { id: 'm', name: 'Other mast', positions: at(54.4) };
    expect(await addKnownPlaces(store, [mast, other], NOW, newId)).toBe(1);
    const ids = (await knownPlaces(store)).map(({ id }) => id);
    expect(new Set(ids).size).toBe(2);
    // All or none: one that can't be kept takes the others with it.
    const third = { id: 't', name: 'Third', positions: at(54.5) };
    const broken = { id: 'b', name: '', positions: at(54.5) };
    await expect(addKnownPlaces(store, [third, broken], NOW, newId)).rejects.toThrow();
    expect(await knownPlaces(store)).toHaveLength(2);
    store.close();
  });

  it('go with a backup, and come back from it', async () => {
    const store = database();
    const mast = { id: 'm', name: 'Mast', positions: at(54.2), note: 'red and white' };
    await putKnownPlace(store, mast, NOW);
    const logbook = logbookSchema.parse(await wholeLogbook(store, new Date()));
    expect(logbook).toMatchObject({ version: 2, knownPlaces: [mast] });
    const fresh = database();
    const options = { now: new Date(), newId, knownPlaces: [mast] };
    await importOutings(fresh, [], [], () => 'keep-both', options);
    await importOutings(fresh, [], [], () => 'keep-both', options);
    expect(await knownPlaces(fresh)).toEqual([mast]);
    store.close();
    fresh.close();
  });

  it('keep what each of two tabs changed, and stay removed where one was', async () => {
    const store = database();
    const seen = { id: 'b', name: 'Island beacon', positions: at(54.2) };
    await putKnownPlace(store, seen, NOW);
    // Both tabs have the form open; one renames it, then the other moves it.
    await putKnownPlace(store, { ...seen, name: 'Beacon ZZ' }, NOW, seen);
    await putKnownPlace(store, { ...seen, positions: at(54.9) }, NOW, seen);
    expect(await knownPlaces(store)).toEqual([{ id: 'b', name: 'Beacon ZZ', positions: at(54.9) }]);
    await undoKnownPlace(store, 'b', NOW);
    expect(await knownPlaces(store)).toMatchObject([{ name: 'Beacon ZZ', positions: at(54.2) }]);
    await removeKnownPlace(store, 'b', NOW);
    const late = await putKnownPlace(store, { ...seen, name: 'Bald edited' }, NOW, seen);
    expect(late).toEqual({ kind: 'unsaved', fault: 'gone' });
    expect(await knownPlaces(store)).toEqual([]);
    await undoKnownPlace(store, 'b', NOW);
    expect(await knownPlaces(store)).toMatchObject([{ name: 'Beacon ZZ' }]);
    store.close();
  });
});
