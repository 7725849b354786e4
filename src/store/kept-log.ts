import type { Table } from 'dexie';
import type { CairnDatabase } from './database';
import { takeKept, type Kept } from './kept-choice';

/** A record of a change log or a count: numbered from 0 without gaps. */
type Key = [string, number];

/**
 * The records of one change log or count as this tab knows them. A browser may delete the database
 * under an open tab; the next write would make a new one, with that record alone. So each write
 * first looks whether the log is still there, and writes what this tab holds again if it isn't.
 */
export class KeptLog<Stored> {
  private readonly held: Stored[] = [];
  /** True once the log had to be written again. */
  rewritten = false;

  constructor(
    private readonly database: CairnDatabase,
    private readonly table: Table<Stored, Key>,
    private readonly id: string,
  ) {}

  /** Takes note of records that are in the store. */
  take(records: readonly Stored[]): void {
    // One by one: a long log spread over the arguments of a call would overflow the stack.
    for (const record of records) this.held.push(record);
  }

  /**
   * Adds a record, and what is kept with it: both or neither. Durable when the promise resolves.
   * Throws the store's error on a clash.
   */
  async add(record: Stored, kept: Kept | null = null): Promise<void> {
    await this.write(record, kept);
    if (kept) takeKept(kept);
  }

  /** Writes the log again if the store has lost it. */
  async restore(): Promise<void> {
    if (this.held.length > 0 && (await this.isLost())) await this.write(null);
  }

  private async isLost(): Promise<boolean> {
    return (await this.table.where(':id').equals([this.id, 0]).count()) === 0;
  }

  private async write(record: Stored | null, kept: Kept | null = null): Promise<void> {
    let again = false;
    const tables = kept ? [this.table, this.database.kept] : [this.table];
    await this.database.transaction('rw', tables, async () => {
      again = this.held.length > 0 && (await this.isLost());
      if (again) await this.table.bulkPut(this.held);
      if (record) await this.table.add(record);
      if (kept) await this.database.kept.put(kept);
    });
    this.rewritten ||= again;
  }
}

/** Calls back when the browser closes or deletes the database under an open tab. */
export function onStoreTaken(database: CairnDatabase, callback: () => void): () => void {
  // The connection has to be closed first: the browser waits for it.
  const later = () => void setTimeout(callback);
  const changing = ({ newVersion }: IDBVersionChangeEvent) => {
    // No new version: the database is being deleted.
    if (newVersion === null) later();
  };
  database.on('close', later);
  database.on('versionchange', changing);
  return () => {
    database.on('close').unsubscribe(later);
    database.on('versionchange').unsubscribe(changing);
  };
}
