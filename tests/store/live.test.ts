import 'fake-indexeddb/auto';
import { liveQuery } from 'dexie';
import { afterAll, describe, expect, it } from 'vitest';
import { blankArea } from '@/core/model/area';
import { areaLogs } from '@/store/documents/areas';
import { slowStore } from '../support/browser/slow-store';
import { closeAfterEach, openDatabase } from '../support/databases';

const { transaction } = IDBDatabase.prototype;
slowStore(100);
closeAfterEach();
afterAll(() => {
  IDBDatabase.prototype.transaction = transaction;
});

const now = new Date('2026-08-14T12:00:00.000Z');

describe('a live query', () => {
  it('shows a document once it is durable, and not before', async () => {
    const database = openDatabase();
    let isSaved = false;
    const shown: { names: string[]; isSaved: boolean }[] = [];
    await new Promise<void>((resolve) => {
      liveQuery(() => areaLogs.all(database)).subscribe((areas) => {
        shown.push({ names: areas.map(({ document }) => document.name), isSaved });
        if (areas.length > 0) return resolve();
        void areaLogs.add(database, blankArea('a1', 'Plateau', []), now).then(() => {
          isSaved = true;
        });
      });
    });
    expect(shown).toEqual([
      { names: [], isSaved: false },
      { names: ['Plateau'], isSaved: true },
    ]);
  });
});
