import Dexie, { type EntityTable, type Table } from 'dexie';
import type { ChangeRecord } from './change';
import { storeFault, type StoreFault } from './store-fault';

/** The version of the schema below; a database with a higher one was written by a newer app. */
export const SCHEMA_VERSION = 1;

/** The app's database: one table, the journals of all outings. */
export class CairnDatabase extends Dexie {
  declare readonly changes: Table<ChangeRecord, [string, number]> & EntityTable<ChangeRecord>;

  constructor(name = 'cairn-back') {
    // Strict: a transaction is complete only when its data are on the disk, not in the system's buffer.
    super(name, { chromeTransactionDurability: 'strict' });
    this.version(SCHEMA_VERSION).stores({ changes: '[outing+number]' });
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
