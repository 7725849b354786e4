'use client';
import { surveyTools } from '@/core/survey/adjusted/survey-tools';
import { liveQuery } from 'dexie';
import { sum } from 'd3-array';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { areaAnswer, areaParts, NO_PARTS } from '@/core/navigation/area-answer';
import type { AreaAnswer, AreaParts } from '@/core/navigation/area-answer';
import type { Area } from '@/core/model/area';
import type { Outing } from '@/core/model/outing';
import { solveAsWalked } from '@/core/survey/solve';
import type { Solution } from '@/core/survey/solution';
import { areaLogs, type AreaState } from '@/store/documents/areas';
import { documentActions, type DocumentActions } from '@/store/documents/document-log';
import { openingFault } from '@/store/database';
import { listedOutings } from '@/store/snapshots/listed';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { adjustInWorker, type AreaRun } from '@/workers/area/areas';
import { browserDatabase } from '@/store/browser-database';
import { modelsUsed, useEarthModels } from '@/views/shared/data/use-earth-models';
import type { Unopened } from '@/views/shared/page/document-page';

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
      const { state: area, damage } = await areaLogs.stored(database, id);
      const { outings } = await listedOutings(database);
      return {
        area,
        damaged: damage !== null,
        outings: outings.map(({ state: { document: outing } }) => outing),
      };
    }).subscribe({
      next: (stored) => setState({ status: 'ready', ...stored }),
      error: (error: unknown) => setState({ status: 'failed', fault: storeFault(error) }),
    });
    return () => live.unsubscribe();
  }, [id]);
  return state;
}

/** An area that is open: its document, its outings, and all that follows from them. */
/** The correction of a log of the area, while it is the last thing that was done here. */
interface CorrectionHere {
  readonly words: string;
  /** Number of the newest change of the area when it was made: a later one comes first. */
  readonly at: number;
  /** False once it was undone: then *Redo* does it again. */
  readonly isDone: boolean;
  /** Undoes it, or does it again; resolves to why that failed, or null. */
  readonly step: (kind: 'undo' | 'redo') => Promise<string | null>;
}

export interface OpenArea {
  readonly state: AreaState;
  /** What *Undo* takes back before the area's own changes; null for nothing. */
  readonly correction: CorrectionHere | null;
  readonly setCorrection: (correction: CorrectionHere | null) => void;
  /** Undo and redo of the page; resolves to why that failed, or null. */
  readonly step: (kind: 'undo' | 'redo') => Promise<string | null>;
  readonly area: Area;
  readonly outings: readonly Outing[];
  /** Outings of the area that are not on this device, or can't be solved. */
  readonly absent: readonly string[];
  readonly answer: AreaAnswer;
  readonly actions: DocumentActions<Area>;
  /** Why the last change was not written; null where it was. */
  readonly fault: StoreFault | null;
}

export type AreaOpening =
  | Unopened
  | { readonly status: 'adjusting'; readonly round: number; readonly stop: () => void }
  | { readonly status: 'ready'; readonly open: OpenArea };

/** More legs than this are adjusted in a worker. */
const MOST_AT_ONCE = 300;

interface Found {
  readonly solutions: ReadonlyMap<string, Solution> | null;
  readonly area: Area | null;
  readonly parts: AreaParts;
}

/**
 * What takes time of an area: at once where it is small, else from a worker, with its rounds. What
 * was stopped is shown as walked.
 */
function useParts(
  area: Area | null,
  members: readonly Outing[],
  solutions: ReadonlyMap<string, Solution> | null,
) {
  const [round, setRound] = useState(0);
  const [found, setFound] = useState<Found | null>(null);
  const run = useRef<AreaRun | null>(null);
  const legs = useMemo(
    () => sum(solutions?.values() ?? [], (each) => each.legs.count),
    [solutions],
  );
  const isSmall = legs <= MOST_AT_ONCE;
  const small = useMemo(
    () => (area && solutions && isSmall ? areaParts(area, solutions) : null),
    [area, solutions, isSmall],
  );
  useEffect(() => {
    if (!area || !solutions || isSmall) return;
    const started = adjustInWorker({ area, outings: members }, setRound);
    run.current = started;
    let isCurrent = true;
    const show = (parts: AreaParts) => isCurrent && setFound({ solutions, area, parts });
    started.parts.then(show, () => show(NO_PARTS));
    return () => {
      isCurrent = false;
      started.stop();
    };
  }, [area, members, solutions, isSmall]);
  const stop = useCallback(() => run.current?.stop(), []);
  // While another adjustment is under way, the one before is not of this area any more.
  const isFresh = found?.solutions === solutions && found.area === area;
  return { parts: small ?? (isFresh ? found.parts : null), round, stop };
}

/** The correction of a log that was made here last, and the steps of the page with it. */
function correctionsOf(
  made: CorrectionHere | null,
  setCorrection: (correction: CorrectionHere | null) => void,
  number: number,
  actions: DocumentActions<Area>,
) {
  const correction = made && made.at === number ? made : null;
  /** The last thing that was done on the page comes first, in the area or in a log of it. */
  const step = async (kind: 'undo' | 'redo'): Promise<string | null> => {
    if (!correction || correction.isDone !== (kind === 'undo')) {
      await actions[kind]();
      return null;
    }
    const failed = await correction.step(kind);
    if (failed === null) setCorrection({ ...correction, isDone: kind === 'redo' });
    return failed;
  };
  return { correction, setCorrection, step };
}

/** The area of an id. */
export function useArea(id: string): AreaOpening {
  const stored = useStored(id);
  const ready = stored.status === 'ready' ? stored : null;
  const area = ready?.area?.document ?? null;
  const members = useMemo(
    () => (ready && area ? ready.outings.filter((outing) => area.outings.includes(outing.id)) : []),
    [ready, area],
  );
  const needs = members.map(modelsUsed);
  const models = useEarthModels(
    needs.includes('grid') ? 'grid' : needs.includes('field') ? 'field' : 'none',
  );
  const waits = models === null && needs.some((each) => each !== 'none');
  const [fault, setFault] = useState<StoreFault | null>(null);
  const [made, setCorrection] = useState<CorrectionHere | null>(null);
  const actions = useMemo(() => documentActions(areaLogs, browserDatabase, id, setFault), [id]);
  const solutions = useMemo(() => {
    if (waits) return null;
    const found = new Map<string, Solution>();
    for (const outing of members) {
      // The area has a method of its own.
      const solved = solveAsWalked(outing, models, { tools: surveyTools });
      if (solved.ok) found.set(outing.id, solved.value);
    }
    return found;
  }, [members, models, waits]);
  const { parts, round, stop } = useParts(area, members, solutions);
  const answer = useMemo(
    () => area && solutions && parts && areaAnswer(area, solutions, parts),
    [area, solutions, parts],
  );
  if (stored.status !== 'ready') return stored;
  if (stored.damaged) return { status: 'damaged' };
  if (!stored.area) return { status: 'missing' };
  if (stored.area.discarded) return { status: 'discarded', recover: actions.recover };
  if (!area || !solutions) return { status: 'loading' };
  if (!answer) return { status: 'adjusting', round, stop };
  const absent = area.outings.filter((each) => !answer.found.ids.includes(each));
  const corrections = correctionsOf(made, setCorrection, stored.area.number, actions);
  const open = {
    state: stored.area,
    ...corrections,
    area,
    outings: stored.outings,
    absent,
    answer,
    actions,
    fault,
  };
  return { status: 'ready', open };
}
