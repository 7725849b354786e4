import { apply, inverse, type Operation } from '../core/edit/operations';
import type { Outing } from '../core/model/outing';
import { changeSchema, type ChangeRecord } from './change';

/**
 * The operations of each edit by its number. One for all states of a change log: a number's edit
 * never changes, and copying it each time would make a long change log quadratic.
 */
export class Edits {
  private readonly byNumber = new Map<number, readonly Operation[]>();

  add(number: number, operations: readonly Operation[]): void {
    this.byNumber.set(number, operations);
  }

  get(number: number): readonly Operation[] | undefined {
    return this.byNumber.get(number);
  }
}

/** An outing by its change log so far. */
export interface OutingState {
  readonly outing: Outing;
  /** Number of the newest change. */
  readonly number: number;
  readonly changedAt: string;
  readonly discarded: boolean;
  /** Numbers of the edits that can be undone, and redone; the next one last. */
  readonly undoable: readonly number[];
  readonly redoable: readonly number[];
  readonly edits: Edits;
}

/** A change log that can't be replayed to its end: the state before, and the other records. */
export interface Damage {
  readonly state: OutingState | null;
  readonly number: number;
  readonly records: readonly unknown[];
}

function next(state: OutingState | null, record: ChangeRecord): OutingState | null {
  const { change, number, at } = record;
  if (change.kind === 'create') return state ? null : created(change.outing, number, at);
  if (!state || number !== state.number + 1) return null;
  const dated = { ...state, number, changedAt: at };
  switch (change.kind) {
    case 'discard':
    case 'recover':
      return { ...dated, discarded: change.kind === 'discard' };
    case 'edit': {
      const after = apply(state.outing, change.operations);
      if (!after.ok) return null;
      state.edits.add(number, change.operations);
      const undoable = [...state.undoable, number];
      return { ...dated, outing: after.value, undoable, redoable: [] };
    }
    case 'undo':
    case 'redo':
      return stepped(dated, change.kind, change.of);
  }
}

const created = (outing: Outing, number: number, at: string): OutingState => ({
  outing,
  number,
  changedAt: at,
  discarded: false,
  undoable: [],
  redoable: [],
  edits: new Edits(),
});

/** The state after an undo or a redo of an edit; null when that isn't the next one. */
function stepped(state: OutingState, kind: 'undo' | 'redo', of: number): OutingState | null {
  const undoing = kind === 'undo';
  const [from, onto] = undoing
    ? [state.undoable, state.redoable]
    : [state.redoable, state.undoable];
  const operations = state.edits.get(of);
  if (!operations || from.at(-1) !== of) return null;
  const after = apply(state.outing, undoing ? inverse(operations) : operations);
  if (!after.ok) return null;
  const [left, grown] = [from.slice(0, -1), [...onto, of]];
  const stacks = undoing
    ? { undoable: left, redoable: grown }
    : { undoable: grown, redoable: left };
  return { ...state, outing: after.value, ...stacks };
}

/** What replaying gives: the state, and the damage where it stopped before the end. */
export interface Replayed {
  readonly state: OutingState | null;
  readonly damage: Damage | null;
}

/**
 * Replays records from a state on (null: from the beginning). Each record is checked against its
 * schema; at the first that fails it stops and says where, with everything before it intact.
 */
export function replay(from: OutingState | null, records: readonly unknown[]): Replayed {
  let state = from;
  for (const [index, record] of records.entries()) {
    const parsed = changeSchema.safeParse(record);
    const after = parsed.success ? next(state, parsed.data) : null;
    if (!after) {
      const number = (state?.number ?? -1) + 1;
      return { state, damage: { state, number, records: records.slice(index) } };
    }
    state = after;
  }
  return { state, damage: null };
}
