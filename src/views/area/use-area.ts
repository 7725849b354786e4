'use client';
import { liveQuery } from 'dexie';
import { useEffect, useMemo, useState } from 'react';
import { areaAnswer, type AreaAnswer } from '@/core/navigation/area-answer';
import type { Area } from '@/core/model/area';
import type { Outing } from '@/core/model/outing';
import { solve } from '@/core/survey/solve';
import type { Solution } from '@/core/survey/solution';
import { changeArea, storedArea, type AreaOutcome } from '@/store/areas/areas';
import type { AreaState } from '@/store/areas/replay';
import { openingFault } from '@/store/database';
import { listedOutings } from '@/store/snapshots/listed';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { browserDatabase } from '@/views/shared/data/browser-store';
import { modelsNeeded, useEarthModels } from '@/views/shared/data/use-earth-models';

interface Stored {
  readonly area: AreaState | null;
  readonly damaged: boolean;
  readonly outings: readonly Outing[];
}
type StoredState =
  | { readonly status: 'loading' }
  | { readonly status: 'failed'; readonly fault: StoreFault }
  | ({ readonly status: 'ready' } & Stored);

/** An area and all outings of the device, live across tabs. */
function useStored(id: string): StoredState {
  const [state, setState] = useState<StoredState>({ status: 'loading' });
  useEffect(() => {
    void openingFault(browserDatabase()).then((fault) => {
      if (fault) setState({ status: 'failed', fault });
    });
    const live = liveQuery(async (): Promise<Stored> => {
      const database = browserDatabase();
      const { state: area, damaged } = await storedArea(database, id);
      const { outings } = await listedOutings(database);
      return { area, damaged, outings: outings.map(({ state: { outing } }) => outing) };
    }).subscribe({
      next: (stored) => setState({ status: 'ready', ...stored }),
      error: (error: unknown) => setState({ status: 'failed', fault: storeFault(error) }),
    });
    return () => live.unsubscribe();
  }, [id]);
  return state;
}

/** What can be done with an area; each resolves when it is durable. */
interface AreaActions {
  change(make: (area: Area) => Area): Promise<AreaOutcome>;
  undo(): Promise<AreaOutcome>;
  redo(): Promise<AreaOutcome>;
  discard(): Promise<AreaOutcome>;
  recover(): Promise<AreaOutcome>;
}

function actionsOf(id: string): AreaActions {
  const write = (make: Parameters<typeof changeArea>[2]) =>
    changeArea(browserDatabase(), id, make, new Date());
  return {
    change: (make) =>
      write((state) => state && { kind: 'edit', before: state.area, after: make(state.area) }),
    undo: () =>
      write((state) => {
        const edit = state?.undoable.at(-1);
        return edit ? { kind: 'undo', of: edit.number } : null;
      }),
    redo: () =>
      write((state) => {
        const edit = state?.redoable.at(-1);
        return edit ? { kind: 'redo', of: edit.number } : null;
      }),
    discard: () => write((state) => state && { kind: 'discard' }),
    recover: () => write((state) => state && { kind: 'recover' }),
  };
}

/** An area that is open: its document, its outings, and all that follows from them. */
export interface OpenArea {
  readonly state: AreaState;
  readonly area: Area;
  readonly outings: readonly Outing[];
  /** Outings of the area that are not on this device, or can't be solved. */
  readonly absent: readonly string[];
  readonly answer: AreaAnswer;
  readonly actions: AreaActions;
}

export type AreaOpening =
  | { readonly status: 'loading' | 'missing' | 'damaged' }
  | { readonly status: 'discarded'; readonly recover: () => Promise<AreaOutcome> }
  | { readonly status: 'failed'; readonly fault: StoreFault }
  | { readonly status: 'ready'; readonly open: OpenArea };

/** The area of an id. */
export function useArea(id: string): AreaOpening {
  const stored = useStored(id);
  const ready = stored.status === 'ready' ? stored : null;
  const area = ready?.area?.area ?? null;
  const members = useMemo(
    () => (ready && area ? ready.outings.filter((outing) => area.outings.includes(outing.id)) : []),
    [ready, area],
  );
  const needs = members.map(modelsNeeded);
  const models = useEarthModels(
    needs.includes('grid') ? 'grid' : needs.includes('field') ? 'field' : 'none',
  );
  const waits = models === null && needs.some((each) => each !== 'none');
  const actions = useMemo(() => actionsOf(id), [id]);
  const answer = useMemo(() => {
    if (!area || waits) return null;
    const solutions = new Map<string, Solution>();
    for (const outing of members) {
      const solved = solve(outing, models);
      if (solved.ok) solutions.set(outing.id, solved.value);
    }
    return areaAnswer(area, solutions);
  }, [area, members, models, waits]);
  if (stored.status !== 'ready') return stored;
  if (stored.damaged) return { status: 'damaged' };
  if (!stored.area) return { status: 'missing' };
  if (stored.area.discarded) return { status: 'discarded', recover: actions.recover };
  if (!answer || !area) return { status: 'loading' };
  const absent = area.outings.filter((each) => !answer.found.ids.includes(each));
  const open = { state: stored.area, area, outings: stored.outings, absent, answer, actions };
  return { status: 'ready', open };
}
