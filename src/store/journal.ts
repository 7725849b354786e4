import { applied, inverse, type Operation } from '../core/edit/operations';
import type { Outing } from '../core/logbook';
import { changeSchema, type ChangeRecord } from './change';

/** What a journal comes to so far. */
export interface Page {
  readonly outing: Outing;
  /** Number of the newest change. */
  readonly number: number;
  readonly changedAt: string;
  readonly discarded: boolean;
  /** Numbers of the edits that can be undone, and of those that can be done again; the next one last. */
  readonly undoable: readonly number[];
  readonly redoable: readonly number[];
  readonly edits: ReadonlyMap<number, readonly Operation[]>;
}

/** A journal that can't be followed to its end: the page up to there, and the records from there on. */
export interface Damage {
  readonly page: Page | null;
  readonly number: number;
  readonly records: readonly unknown[];
}

function next(page: Page | null, record: ChangeRecord): Page | null {
  const { change, number } = record;
  if (change.kind === 'create') {
    if (page) return null;
    return {
      outing: change.outing,
      number,
      changedAt: record.at,
      discarded: false,
      undoable: [],
      redoable: [],
      edits: new Map(),
    };
  }
  if (!page || number !== page.number + 1) return null;
  const dated = { ...page, number, changedAt: record.at };
  switch (change.kind) {
    case 'discard':
    case 'recover':
      return { ...dated, discarded: change.kind === 'discard' };
    case 'edit': {
      const after = applied(page.outing, change.operations);
      if (!after.ok) return null;
      // One map for all pages of a journal: a number's edit never changes, and copying it each time would make
      // reading a long journal quadratic.
      (page.edits as Map<number, readonly Operation[]>).set(number, change.operations);
      const undoable = [...page.undoable, number];
      return { ...dated, outing: after.value, undoable, redoable: [] };
    }
    default: {
      const undoing = change.kind === 'undo';
      const [from, onto] = undoing
        ? [page.undoable, page.redoable]
        : [page.redoable, page.undoable];
      const operations = page.edits.get(change.of);
      if (!operations || from.at(-1) !== change.of) return null;
      const after = applied(page.outing, undoing ? inverse(operations) : operations);
      if (!after.ok) return null;
      const [taken, given] = [from.slice(0, -1), [...onto, change.of]];
      const stacks = undoing
        ? { undoable: taken, redoable: given }
        : { undoable: given, redoable: taken };
      return { ...dated, outing: after.value, ...stacks };
    }
  }
}

/**
 * Follows records from a page on (null: from the beginning). Each record is checked against its schema; at
 * the first that can't be followed it stops and says where, with everything before it intact.
 */
export function follow(
  from: Page | null,
  records: readonly unknown[],
): { page: Page | null; damage: Damage | null } {
  let page = from;
  for (const [index, record] of records.entries()) {
    const parsed = changeSchema.safeParse(record);
    const after = parsed.success ? next(page, parsed.data) : null;
    if (!after) {
      const number = (page?.number ?? -1) + 1;
      return { page, damage: { page, number, records: records.slice(index) } };
    }
    page = after;
  }
  return { page, damage: null };
}
