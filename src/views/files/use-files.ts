'use client';
import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';
import type { Outing } from '@/core/model/outing';
import { backupState, dailyCopies, type BackupState } from '@/store/backup';
import { openingFault, type DailyCopy } from '@/store/database';
import { storedOutings } from '@/store/outings';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { browserDatabase } from '@/store/browser-database';

type FilesState =
  | { readonly status: 'loading' }
  | { readonly status: 'failed'; readonly fault: StoreFault }
  | {
      readonly status: 'ready';
      readonly outings: readonly Outing[];
      readonly backup: BackupState;
      readonly copies: readonly DailyCopy[];
    };

/** What the Files view shows of the store, live across tabs. */
export function useFiles(): FilesState {
  const [state, setState] = useState<FilesState>({ status: 'loading' });
  useEffect(() => {
    const failed = (fault: StoreFault) => setState({ status: 'failed', fault });
    void openingFault(browserDatabase()).then((fault) => fault && failed(fault));
    const live = liveQuery(async () => {
      const database = browserDatabase();
      const [stored, backup, copies] = await Promise.all([
        storedOutings(database),
        backupState(database, new Date()),
        dailyCopies(database),
      ]);
      return { outings: stored.map(({ state: { document: outing } }) => outing), backup, copies };
    }).subscribe({
      next: (found) => setState({ status: 'ready', ...found }),
      error: (error: unknown) => failed(storeFault(error)),
    });
    return () => live.unsubscribe();
  }, []);
  return state;
}
