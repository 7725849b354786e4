import equal from 'fast-deep-equal';
import type { Area } from '../../core/model/area';
import { areaChangeSchema, type AreaRecord } from './change';

interface Edit {
  readonly number: number;
  readonly before: Area;
  readonly after: Area;
}

/** An area by its change log so far. */
export interface AreaState {
  readonly area: Area;
  /** Number of the newest change. */
  readonly number: number;
  readonly changedAt: string;
  readonly discarded: boolean;
  /** The edits that can be undone, and redone; the next one last. */
  readonly undoable: readonly Edit[];
  readonly redoable: readonly Edit[];
}

/** What replaying gives: the state, and whether it got to the end. */
export interface ReplayedArea {
  readonly state: AreaState | null;
  readonly damaged: boolean;
}

function next(state: AreaState | null, { change, number, at }: AreaRecord): AreaState | null {
  if (change.kind === 'create') {
    if (state) return null;
    const empty = { undoable: [], redoable: [], discarded: false };
    return { area: change.area, number, changedAt: at, ...empty };
  }
  if (!state || number !== state.number + 1) return null;
  const dated = { ...state, number, changedAt: at };
  switch (change.kind) {
    case 'discard':
    case 'recover':
      return { ...dated, discarded: change.kind === 'discard' };
    case 'edit': {
      if (!equal(state.area, change.before)) return null;
      const edit = { number, before: change.before, after: change.after };
      return { ...dated, area: change.after, undoable: [...state.undoable, edit], redoable: [] };
    }
    case 'undo': {
      const edit = state.undoable.at(-1);
      if (edit?.number !== change.of) return null;
      const [undoable, redoable] = [state.undoable.slice(0, -1), [...state.redoable, edit]];
      return { ...dated, area: edit.before, undoable, redoable };
    }
    case 'redo': {
      const edit = state.redoable.at(-1);
      if (edit?.number !== change.of) return null;
      const [undoable, redoable] = [[...state.undoable, edit], state.redoable.slice(0, -1)];
      return { ...dated, area: edit.after, undoable, redoable };
    }
  }
}

/** Replays a change log; at the first record that can't be followed it stops, and says so. */
export function replayArea(records: readonly unknown[]): ReplayedArea {
  let state: AreaState | null = null;
  for (const record of records) {
    const parsed = areaChangeSchema.safeParse(record);
    const after: AreaState | null = parsed.success ? next(state, parsed.data) : null;
    if (!after) return { state, damaged: true };
    state = after;
  }
  return { state, damaged: false };
}
