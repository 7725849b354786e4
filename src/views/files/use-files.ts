'use client';
import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';
import type { Outing } from '@/core/logbook';
import { backupState, nightlyCopies, type BackupState } from '@/store/backup';
import { openingFault, type NightlyCopy } from '@/store/database';
import { shelf } from '@/store/shelf';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { browserDatabase } from '@/views/shared/browser-store';

export type FilesState =
  | { readonly status: 'loading' }
  | { readonly status: 'failed'; readonly fault: StoreFault }
  | {
      readonly status: 'ready';
      readonly outings: readonly Outing[];
      readonly backup: BackupState;
      readonly copies: readonly NightlyCopy[];
    };

/** What the Files view shows of the store, live across tabs. */
export function useFiles(): FilesState {
  const [state, setState] = useState<FilesState>({ status: 'loading' });
  useEffect(() => {
    const failed = (fault: StoreFault) => setState({ status: 'failed', fault });
    void openingFault(browserDatabase()).then((fault) => fault && failed(fault));
    const live = liveQuery(async () => {
      const database = browserDatabase();
      const [shelved, backup, copies] = await Promise.all([
        shelf(database),
        backupState(database, new Date()),
        nightlyCopies(database),
      ]);
      return { outings: shelved.map(({ page }) => page.outing), backup, copies };
    }).subscribe({
      next: (found) => setState({ status: 'ready', ...found }),
      error: (error: unknown) => failed(storeFault(error)),
    });
    return () => live.unsubscribe();
  }, []);
  return state;
}
