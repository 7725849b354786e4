import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { describe, expect, it } from 'vitest';
import { backupState, markBackup, progressOf } from '@/store/backup';
import { openingFault, SCHEMA_VERSION } from '@/store/database';
import { knownPlaces, removeKnownPlace, undoKnownPlace } from '@/store/known/known-places';
import { addOuting } from '@/store/outings';
import {
  closeAfterEach,
  newName,
  NOW,
  openDatabase,
  outingsIn,
  outingWithId,
} from '../support/databases';

closeAfterEach();

describe('databases of other versions', () => {
  /** The stores of each released version, as they were written then. */
  const RELEASED: Record<number, Record<string, string>> = {
    1: { changes: '[outing+number]' },
    2: { changes: '[outing+number]', counts: '[count+number]', profiles: 'id' },
  };

  it.each(Object.keys(RELEASED).map(Number))(
    'version %i is migrated with all it has',
    async (version) => {
      const name = newName();
      const old = new Dexie(name);
      old.version(version).stores(RELEASED[version]!);
      await old.open();
      const create = {
        outing: 'one',
        number: 0,
        at: NOW.toISOString(),
        change: { kind: 'create', outing: outingWithId('one') },
      };
      await old.table('changes').add(create);
      if (version >= 2) {
        await old.table('profiles').add({ id: 'p', name: 'Mine', calibrations: [] });
        await old
          .table('counts')
          .add({ count: 'one', number: 0, at: NOW.toISOString(), line: { kind: 'undo' } });
      }
      old.close();
      const database = openDatabase(name);
      expect(await openingFault(database)).toBeNull();
      expect((await outingsIn(database)).get('one')).toEqual(outingWithId('one'));
      expect(await database.profiles.count()).toBe(version >= 2 ? 1 : 0);
      expect(await database.counts.count()).toBe(version >= 2 ? 1 : 0);
      await markBackup(database, NOW, await progressOf(database));
      expect(await backupState(database, NOW)).toMatchObject({ changesSince: 0 });
    },
  );

  it('version 8 has its known places with change logs now, and none is lost', async () => {
    const name = newName();
    const old = new Dexie(name);
    old.version(8).stores({ changes: '[outing+number]', knownPlaces: 'id' });
    await old.open();
    const place = { id: 'k', name: 'Knoll', positions: [{ latitude: 54.2, longitude: -63.5 }] };
    await old.table('knownPlaces').add(place);
    old.close();
    const database = openDatabase(name);
    expect(await knownPlaces(database)).toEqual([place]);
    expect(await database.table('knownPlaces').count()).toBe(0);
    await removeKnownPlace(database, 'k', NOW);
    await undoKnownPlace(database, 'k', NOW);
    expect(await knownPlaces(database)).toEqual([place]);
  });

  it('a newer one is recognised, and nothing is written to it', async () => {
    const name = newName();
    const newer = new Dexie(name);
    newer
      .version(SCHEMA_VERSION + 1)
      .stores({ ...RELEASED[2], copies: 'day', marks: 'name', later: 'id' });
    await newer.open();
    await newer.table('later').add({ id: 1 });
    newer.close();
    const database = openDatabase(name);
    expect(await openingFault(database)).toBe('newer');
    await expect(addOuting(database, outingWithId('one'), NOW)).rejects.toThrow();
    database.close();
    await newer.open();
    expect(await newer.table('later').count()).toBe(1);
    expect(await newer.table('changes').count()).toBe(0);
    newer.close();
  });

  it('an interrupted migration leaves the database as it was', async () => {
    const name = newName();
    const old = new Dexie(name);
    old.version(1).stores(RELEASED[1]!);
    await old.open();
    await old.table('changes').add({
      outing: 'one',
      number: 0,
      at: NOW.toISOString(),
      change: { kind: 'create', outing: outingWithId('one') },
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
    const database = openDatabase(name);
    expect(await openingFault(database)).toBeNull();
    expect((await outingsIn(database)).get('one')).toEqual(outingWithId('one'));
  });
});
