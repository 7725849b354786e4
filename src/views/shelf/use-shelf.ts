'use client';
import { liveQuery } from 'dexie';
import { useCallback, useEffect, useRef, useState } from 'react';
import { readLines } from '@/core/log-text/read-log';
import { blankOuting, type Outing } from '@/core/logbook';
import { backupState, type BackupState } from '@/store/backup';
import { openingFault } from '@/store/database';
import { mark, putOnShelf, shelf, type Shelved } from '@/store/shelf';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { askToKeep, browserDatabase } from '@/views/shared/browser-store';
import { ownPaces } from '@/views/shared/own-paces';

export type ShelfState =
  | { status: 'loading' }
  | { status: 'failed'; fault: StoreFault }
  | { status: 'ready'; outings: readonly Shelved[]; backup: BackupState };

const DEMO_ID = 'demo-rain-gauges';
const DEMO_LOG = '/demo/rain-gauges.log.txt';

async function demoOuting(): Promise<Outing> {
  const answer = await fetch(DEMO_LOG);
  const log = readLines(await answer.text(), DEMO_ID);
  if (!log.ok) throw new Error('the demo log can be read');
  return log.value.outing;
}

const serverWantsDemo = async (): Promise<boolean> => {
  try {
    const answer = await fetch('/api/start');
    return ((await answer.json()) as { withDemo: boolean }).withDemo;
  } catch {
    // No network, and so nobody to want it.
    return false;
  }
};

/** The shelf, live across tabs, and what can be done with it. Each action resolves when it is durable. */
export function useShelf() {
  const [state, setState] = useState<ShelfState>({ status: 'loading' });
  const asked = useRef(false);

  const openDemo = useCallback(async () => {
    await putOnShelf(browserDatabase(), await demoOuting(), new Date());
    return DEMO_ID;
  }, []);

  useEffect(() => {
    void openingFault(browserDatabase()).then((fault) => {
      if (fault) setState({ status: 'failed', fault });
    });
    const live = liveQuery(async () => {
      const database = browserDatabase();
      return {
        outings: await shelf(database),
        written: await database.changes.count(),
        backup: await backupState(database, new Date()),
      };
    }).subscribe({
      next: ({ outings, written, backup }) => {
        setState({ status: 'ready', outings, backup });
        if (written > 0 || asked.current) return;
        asked.current = true;
        void serverWantsDemo().then(async (wanted) => {
          if (wanted) await openDemo();
        });
      },
      error: (error: unknown) => setState({ status: 'failed', fault: storeFault(error) }),
    });
    return () => live.unsubscribe();
  }, [openDemo]);

  const startOuting = useCallback(async (name: string, day: string) => {
    const id = crypto.randomUUID();
    const entries = await ownPaces();
    const outing: Outing = { ...blankOuting(id, name), date: { day }, entries };
    await putOnShelf(browserDatabase(), outing, new Date());
    askToKeep();
    return id;
  }, []);

  const discard = useCallback(
    (id: string) => mark(browserDatabase(), id, 'discard', new Date()),
    [],
  );
  const recover = useCallback(
    (id: string) => mark(browserDatabase(), id, 'recover', new Date()),
    [],
  );

  return { state, startOuting, openDemo, discard, recover };
}
