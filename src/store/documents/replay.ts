import equal from 'fast-deep-equal';
import type { DocumentRecord } from './change';

interface Edit<Document> {
  readonly number: number;
  readonly before: Document;
  readonly after: Document;
}

/** A document by its change log so far. */
export interface DocumentState<Document> {
  readonly document: Document;
  /** Number of the newest change. */
  readonly number: number;
  readonly changedAt: string;
  readonly discarded: boolean;
  /** The edits that can be undone, and redone; the next one last. */
  readonly undoable: readonly Edit<Document>[];
  readonly redoable: readonly Edit<Document>[];
}

/** What replaying gives: the state, and whether it got to the end. */
export interface Replayed<Document> {
  readonly state: DocumentState<Document> | null;
  readonly damaged: boolean;
}

function next<Document>(
  state: DocumentState<Document> | null,
  { change, number, at }: DocumentRecord<Document>,
): DocumentState<Document> | null {
  if (change.kind === 'create') {
    if (state) return null;
    const empty = { undoable: [], redoable: [], discarded: false };
    return { document: change.document, number, changedAt: at, ...empty };
  }
  if (!state || number !== state.number + 1) return null;
  const dated = { ...state, number, changedAt: at };
  switch (change.kind) {
    case 'discard':
    case 'recover':
      return { ...dated, discarded: change.kind === 'discard' };
    case 'edit': {
      if (!equal(state.document, change.before)) return null;
      const edit = { number, before: change.before, after: change.after };
      return {
        ...dated,
        document: change.after,
        undoable: [...state.undoable, edit],
        redoable: [],
      };
    }
    case 'undo': {
      const edit = state.undoable.at(-1);
      if (edit?.number !== change.of) return null;
      const [undoable, redoable] = [state.undoable.slice(0, -1), [...state.redoable, edit]];
      return { ...dated, document: edit.before, undoable, redoable };
    }
    case 'redo': {
      const edit = state.redoable.at(-1);
      if (edit?.number !== change.of) return null;
      const [undoable, redoable] = [[...state.undoable, edit], state.redoable.slice(0, -1)];
      return { ...dated, document: edit.after, undoable, redoable };
    }
  }
}

/** Replays a change log; at the first record that can't be followed it stops, and says so. */
export function replayDocument<Document>(
  records: readonly unknown[],
  read: (stored: unknown) => DocumentRecord<Document> | null,
): Replayed<Document> {
  let state: DocumentState<Document> | null = null;
  for (const stored of records) {
    const record = read(stored);
    const after: DocumentState<Document> | null = record && next(state, record);
    if (!after) return { state, damaged: true };
    state = after;
  }
  return { state, damaged: false };
}
