'use client';
import { liveQuery } from 'dexie';
import { useEffect, useRef, useState } from 'react';
import { readLines } from '@/core/log-text/read-log';
import { blankOuting, type Outing } from '@/core/model/outing';
import { areaLogs, type AreaState } from '@/store/documents/areas';
import { backupState, type BackupState } from '@/store/backup';
import { openingFault } from '@/store/database';
import { errorsOfNewOuting } from '@/store/own-errors';
import { addOuting, markOuting, type StoredOuting } from '@/store/outings';
import { listedOutings } from '@/store/snapshots/listed';
import { keepSnapshots } from '@/store/snapshots/snapshot';
import { forgetLastHome } from '@/store/last-home';
import { hadOutings } from '@/store/storage-watch';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { askToKeep, browserDatabase } from '@/store/browser-database';
import { ownPaces } from '@/views/shared/data/own-paces';
import { DEMO_AREA, DEMO_LOGS } from './demo-logs';

type OutingsState =
  | { status: 'loading' }
  | { status: 'failed'; fault: StoreFault }
  | {
      status: 'ready';
      outings: readonly StoredOuting[];
      areas: readonly AreaState[];
      backup: BackupState;
    };

async function demoOuting({ id, file }: (typeof DEMO_LOGS)[number]): Promise<Outing> {
  const answer = await fetch(`/demo/${file}`);
  const log = readLines(await answer.text(), id);
  if (!log.ok) throw new Error('the demo log can be read');
  return log.value.outing;
}

const serverWantsDemo = async (): Promise<boolean> => {
  // A device that had outings is no new visitor: the browser has emptied it, and that is said.
  if (hadOutings() > 0) return false;
  try {
    const answer = await fetch('/api/start');
    return ((await answer.json()) as { withDemo: boolean }).withDemo;
  } catch {
    // Without a network there is no demo server.
    return false;
  }
};

/** Adds the demo outing; resolves to its id. */
async function openDemo(): Promise<string> {
  const [first] = DEMO_LOGS;
  await addOuting(browserDatabase(), await demoOuting(first), new Date());
  return first.id;
}

/** Adds the demo outings of a party and the area that joins them; resolves to its id. */
async function openDemoArea(): Promise<string> {
  const [rest, first] = [DEMO_LOGS.slice(1), DEMO_LOGS[0]];
  // The last one that is added is the first of the list.
  const now = Date.now();
  for (const [later, log] of [...rest, first].entries()) {
    await addOuting(browserDatabase(), await demoOuting(log), new Date(now + later));
  }
  await areaLogs.add(browserDatabase(), DEMO_AREA, new Date());
  return DEMO_AREA.id;
}

/** Stores a new outing with the person's own paces; resolves to its id. */
async function startOuting(name: string, day: string): Promise<string> {
  const id = crypto.randomUUID();
  const entries = await ownPaces();
  const outing: Outing = {
    ...blankOuting(id, name),
    date: { day },
    ...errorsOfNewOuting(),
    entries,
  };
  await addOuting(browserDatabase(), outing, new Date());
  askToKeep();
  return id;
}

const remove = async (id: string) => {
  await markOuting(browserDatabase(), id, 'discard', new Date());
  forgetLastHome(id);
};
const restore = (id: string) => markOuting(browserDatabase(), id, 'recover', new Date());

/** All outings, live across tabs, and what can be done; an action resolves when it is durable. */
export function useOutings() {
  const [state, setState] = useState<OutingsState>({ status: 'loading' });
  const asked = useRef(false);
  useEffect(() => {
    void openingFault(browserDatabase()).then((fault) => {
      if (fault) setState({ status: 'failed', fault });
    });
    const live = liveQuery(async () => {
      const database = browserDatabase();
      return {
        ...(await listedOutings(database)),
        areas: await areaLogs.all(database),
        written: await database.changes.count(),
        backup: await backupState(database, new Date()),
      };
    }).subscribe({
      next: ({ outings, areas, worthKeeping, written, backup }) => {
        setState({ status: 'ready', outings, areas, backup });
        if (worthKeeping.length > 0) void keepSnapshots(browserDatabase(), worthKeeping);
        if (written > 0 || asked.current) return;
        asked.current = true;
        void serverWantsDemo().then(async (wanted) => {
          if (!wanted) return;
          // Its reader comes only where it is asked for: the start page is to be light.
          const [{ storeDemoRoute }, { keepDemoHeights }] = await Promise.all([
            import('@/views/route/demo-route'),
            import('@/views/shared/heights/demo-heights'),
          ]);
          // Without its heights the demo has no contours, and all else.
          await Promise.all([storeDemoRoute(), keepDemoHeights().catch(() => undefined)]);
          await openDemoArea();
        });
      },
      error: (error: unknown) => setState({ status: 'failed', fault: storeFault(error) }),
    });
    return () => live.unsubscribe();
  }, []);
  return { state, startOuting, openDemo, openDemoArea, remove, restore };
}
