'use client';
import { CairnDatabase } from './database';

let opened: CairnDatabase | undefined;

/** The one database of this tab, opened when it is first needed. */
export function browserDatabase(): CairnDatabase {
  opened ??= new CairnDatabase();
  return opened;
}

/** Asks the browser not to clear the logs when space runs short; it may refuse. */
export function askToKeep(): void {
  void navigator.storage?.persist?.();
}
