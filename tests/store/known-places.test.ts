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
} from '@/store/known/known-places';

let count = 0;
const newId = () => `new-${++count}`;
const database = () => new CairnDatabase(`known-${++count}`);
const at = (latitude: number) => [{ latitude, longitude: -63.5 }];

describe('known places in the store', () => {
  it('are there by name, changed in place, and removed', async () => {
    const store = database();
    await putKnownPlace(store, { id: 'm', name: 'Mast', positions: at(54.2) });
    await putKnownPlace(store, { id: 'h', name: 'Hill', positions: at(54.3), withinMetres: 100 });
    expect((await knownPlaces(store)).map(({ name }) => name)).toEqual(['Hill', 'Mast']);
    await putKnownPlace(store, { id: 'h', name: 'Low hill', positions: at(54.3) });
    await removeKnownPlace(store, 'm');
    expect(await knownPlaces(store)).toEqual([{ id: 'h', name: 'Low hill', positions: at(54.3) }]);
    await expect(putKnownPlace(store, { id: 'x', name: '', positions: [] })).rejects.toThrow();
    store.close();
  });

  it('are added once, and get another id where theirs is taken', async () => {
    const store = database();
    const mast = { id: 'm', name: 'Mast', positions: at(54.2) };
    expect(await addKnownPlaces(store, [mast], newId)).toBe(1);
    const other = { id: 'm', name: 'Other mast', positions: at(54.4) };
    expect(await addKnownPlaces(store, [mast, other], newId)).toBe(1);
    const ids = (await knownPlaces(store)).map(({ id }) => id);
    expect(new Set(ids).size).toBe(2);
    // All or none: one that can't be kept takes the others with it.
    const third = { id: 't', name: 'Third', positions: at(54.5) };
    const broken = { id: 'b', name: '', positions: at(54.5) };
    await expect(addKnownPlaces(store, [third, broken], newId)).rejects.toThrow();
    expect(await knownPlaces(store)).toHaveLength(2);
    store.close();
  });

  it('go with a backup, and come back from it', async () => {
    const store = database();
    const mast = { id: 'm', name: 'Mast', positions: at(54.2), note: 'red and white' };
    await putKnownPlace(store, mast);
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
});
