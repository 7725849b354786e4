import { afterEach, vi } from 'vitest';
import type { Outing } from '@/core/model/outing';
import { CairnDatabase } from '@/store/database';
import { importOutings, type ConflictChoice } from '@/store/import';
import { storedOutings } from '@/store/outings';
import { solvedLog } from './outings';

/** The clock of the store's tests. */
export const NOW = new Date('2026-08-14T09:40:00Z');

let count = 0;
const opened: CairnDatabase[] = [];

/** A name that no other database of this run has. */
export const newName = () => `test-${count++}`;

/** A database that is closed after the test. */
export function openDatabase(name = newName()): CairnDatabase {
  const database = new CairnDatabase(name);
  opened.push(database);
  return database;
}

/** Closes the databases of each test, and takes mocks away. */
export const closeAfterEach = () =>
  afterEach(() => {
    vi.restoreAllMocks();
    for (const database of opened.splice(0)) database.close();
  });

export const outingWithId = (id: string, text = '000 10m\n090 20m'): Outing => ({
  ...solvedLog(text).outing,
  id,
});

let ids = 0;
export const importInto = (
  database: CairnDatabase,
  outings: Outing[],
  choice: ConflictChoice = 'skip',
  profiles: Parameters<typeof importOutings>[2] = [],
) =>
  importOutings(database, outings, profiles, () => choice, {
    now: NOW,
    newId: () => `new-${ids++}`,
  });

/** The outings that are not deleted, by id. */
export const outingsIn = async (database: CairnDatabase) =>
  new Map((await storedOutings(database)).map(({ state }) => [state.document.id, state.document]));
