import Dexie, { type EntityTable, type Table } from 'dexie';
import type { ChangeRecord } from './change';
import type { PaceProfile } from '../core/logbook';
import type { CountRecord } from './count';
import { storeFault, type StoreFault } from './store-fault';

/** The version of the schema below; a database with a higher one was written by a newer app. */
export const SCHEMA_VERSION = 2;

/** The app's database: the journals of all outings, those of counts that are under way, and the pace profiles. */
export class CairnDatabase extends Dexie {
  declare readonly changes: Table<ChangeRecord, [string, number]> & EntityTable<ChangeRecord>;
  declare readonly counts: Table<CountRecord, [string, number]> & EntityTable<CountRecord>;
  declare readonly profiles: Table<PaceProfile, string>;

  constructor(name = 'cairn-back') {
    // Strict: a transaction is complete only when its data are on the disk, not in the system's buffer.
    super(name, { chromeTransactionDurability: 'strict' });
    // Every released version stays listed, so that a database of any of them is carried on.
    this.version(1).stores({ changes: '[outing+number]' });
    this.version(SCHEMA_VERSION).stores({ counts: '[count+number]', profiles: 'id' });
  }
}

/**
 * Opens the database; resolves to why it can't be opened, or null. To be asked before a live query, which
 * stays silent about a database that never opened.
 */
export async function openingFault(database: CairnDatabase): Promise<StoreFault | null> {
  try {
    await database.open();
    return null;
  } catch (error) {
    const fault = storeFault(error);
    return fault === 'failed' ? 'unavailable' : fault;
  }
}
