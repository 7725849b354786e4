/** A change of a document whose edits are of a type of its own. */
type LoggedChange<Document, Edit> =
  | { readonly kind: 'create'; readonly document: Document }
  | { readonly kind: 'edit'; readonly edit: Edit }
  | { readonly kind: 'undo' | 'redo'; readonly of: number }
  | { readonly kind: 'discard' | 'recover' };

/** One record of a change log, as it is replayed. */
interface LoggedRecord<Document, Edit> {
  /** From 0 without gaps; of two tabs that write the same number, the later one tries again. */
  readonly number: number;
  readonly at: string;
  readonly change: LoggedChange<Document, Edit>;
}

/** What a change log has to know of its kind of document. */
export interface Kind<Document, Edit> {
  /** Reads a record as it is stored; null for no record. */
  read(stored: unknown): LoggedRecord<Document, Edit> | null;
  /** The document after an edit; null where the edit is not one of it. */
  apply(document: Document, edit: Edit): Document | null;
  reversed(edit: Edit): Edit;
}

/**
 * The edits by their number. One for all states of a change log: a number's edit never changes, and
 * copying them each time would make a long change log quadratic.
 */
type Edits<Edit> = Map<number, Edit>;

/** A document by its change log so far. */
export interface LogState<Document, Edit> {
  readonly document: Document;
  /** Number of the newest change. */
  readonly number: number;
  readonly changedAt: string;
  readonly discarded: boolean;
  /** Numbers of the edits that can be undone, and redone; the next one last. */
  readonly undoable: readonly number[];
  readonly redoable: readonly number[];
  readonly edits: Edits<Edit>;
}

/** A change log that can't be replayed to its end: the state before, and the other records. */
export interface LogDamage<State> {
  readonly state: State | null;
  readonly number: number;
  readonly records: readonly unknown[];
}

/** What replaying gives: the state, and the damage where it stopped before the end. */
export interface LogReplayed<State> {
  readonly state: State | null;
  readonly damage: LogDamage<State> | null;
}

function next<Document, Edit>(
  kind: Kind<Document, Edit>,
  state: LogState<Document, Edit> | null,
  { change, number, at }: LoggedRecord<Document, Edit>,
): LogState<Document, Edit> | null {
  if (change.kind === 'create') {
    if (state) return null;
    const empty = { discarded: false, undoable: [], redoable: [], edits: new Map<number, Edit>() };
    return { document: change.document, number, changedAt: at, ...empty };
  }
  if (!state || number !== state.number + 1) return null;
  const dated = { ...state, number, changedAt: at };
  switch (change.kind) {
    case 'discard':
    case 'recover':
      return { ...dated, discarded: change.kind === 'discard' };
    case 'edit': {
      const document = kind.apply(state.document, change.edit);
      if (document === null) return null;
      state.edits.set(number, change.edit);
      return { ...dated, document, undoable: [...state.undoable, number], redoable: [] };
    }
    case 'undo':
    case 'redo':
      return stepped(kind, dated, change.kind, change.of);
  }
}

/** The state after an undo or a redo of an edit; null when that isn't the next one. */
function stepped<Document, Edit>(
  kind: Kind<Document, Edit>,
  state: LogState<Document, Edit>,
  step: 'undo' | 'redo',
  of: number,
): LogState<Document, Edit> | null {
  const undoing = step === 'undo';
  const { undoable, redoable } = state;
  const [from, onto] = undoing ? [undoable, redoable] : [redoable, undoable];
  const edit = state.edits.get(of);
  if (edit === undefined || from.at(-1) !== of) return null;
  const document = kind.apply(state.document, undoing ? kind.reversed(edit) : edit);
  if (document === null) return null;
  const [left, grown] = [from.slice(0, -1), [...onto, of]];
  const stacks = undoing
    ? { undoable: left, redoable: grown }
    : { undoable: grown, redoable: left };
  return { ...state, document, ...stacks };
}

/**
 * Replays records from a state on (null: from the beginning). Each record is checked against its
 * schema; at the first that fails it stops and says where, with everything before it intact.
 */
export function replayLog<Document, Edit>(
  kind: Kind<Document, Edit>,
  from: LogState<Document, Edit> | null,
  records: readonly unknown[],
): LogReplayed<LogState<Document, Edit>> {
  let state = from;
  for (const [index, stored] of records.entries()) {
    const record = kind.read(stored);
    const after = record && next(kind, state, record);
    if (!after) {
      const number = (state?.number ?? -1) + 1;
      return { state, damage: { state, number, records: records.slice(index) } };
    }
    state = after;
  }
  return { state, damage: null };
}

/** The undo or redo of the next edit; null where there is none. */
export function stepOf<Document, Edit>(
  step: 'undo' | 'redo',
  { undoable, redoable }: LogState<Document, Edit>,
): { readonly kind: 'undo' | 'redo'; readonly of: number } | null {
  const of = (step === 'undo' ? undoable : redoable).at(-1);
  return of === undefined ? null : { kind: step, of };
}
