'use client';
import { CairnDatabase } from './database';
import { upgradeGate } from './upgrade-gate';

const NAME = 'cairn-back';
let opened: CairnDatabase | undefined;

/** The one database of this tab, opened when it is first needed. */
export function browserDatabase(): CairnDatabase {
  if (opened) return opened;
  const database = new CairnDatabase(NAME, () => upgradeGate(NAME));
  opened = database;
  // A page that goes away with its database open blocks the next one in some browsers.
  globalThis.addEventListener?.('pagehide', () => database.close({ disableAutoOpen: false }));
  return database;
}

/** Leaves the page for another one once the database is idle, and closed. */
export async function leaveFor(url: string): Promise<void> {
  await opened?.idle();
  opened?.close({ disableAutoOpen: false });
  location.assign(url);
}

/** Asks the browser not to clear the logs when space runs short; it may refuse. */
export function askToKeep(): void {
  void navigator.storage?.persist?.();
}
