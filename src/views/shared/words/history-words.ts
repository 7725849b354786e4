import type { Operation } from '@/core/edit/operations';
import { writeEntry, type Entry } from '@/core/entries/entry';
import type { ChangeRecord } from '@/store/change';
import type { DocumentState } from '@/store/documents/change';
import type { OutingState } from '@/store/replay';

const textOf = (entries: readonly Entry[]) =>
  entries
    .filter(({ kind }) => kind !== 'struck')
    .map((entry) => writeEntry(entry, 'magnetic').trim())
    .join(', ');

/** What an edit did. */
function editWords(operations: readonly Operation[]): string {
  const replaced = operations.flatMap((each) => (each.op === 'replace' ? [each.after] : []));
  const struck = replaced.filter((entry) => entry.kind === 'struck');
  const written = operations.flatMap((each) => (each.op === 'insert' ? each.entries : []));
  const removed = operations.some(({ op }) => op === 'remove');
  const [first] = struck;
  if (first && written.length > 0) {
    const reason = first.reason ? ` (${first.reason})` : '';
    return `Corrected: ${first.was} → ${textOf(written)}${reason}`;
  }
  if (first) return `Struck out: ${struck.map(({ was }) => was).join(', ')}`;
  if (removed && written.length > 0) return `Moved: ${textOf(written)}`;
  if (written.length > 0) return `Logged: ${textOf(written)}`;
  if (operations.some(({ op }) => op === 'header')) return 'Settings changed';
  return `Changed: ${textOf(replaced)}`;
}

const STEPS = { undo: 'Undone', redo: 'Redone' } as const;

/** What the next undo or redo of a log does, said once it is done. */
export function stepWords(
  step: 'undo' | 'redo',
  state: Pick<OutingState, 'undoable' | 'redoable' | 'edits'> | null,
): string {
  const of = (step === 'undo' ? state?.undoable : state?.redoable)?.at(-1);
  const edit = of === undefined ? undefined : state?.edits.get(of);
  return edit ? `${STEPS[step]}: ${editWords(edit)}.` : `${STEPS[step]}.`;
}

/** The same of a document that keeps the whole of each edit; `say` tells what an edit did. */
export function documentStepWords<Document>(
  step: 'undo' | 'redo',
  { undoable, redoable, edits }: DocumentState<Document>,
  say: (before: Document, after: Document) => string,
): string {
  const of = (step === 'undo' ? undoable : redoable).at(-1);
  const edit = of === undefined ? undefined : edits.get(of);
  return edit ? `${STEPS[step]}: ${say(edit.before, edit.after)}.` : `${STEPS[step]}.`;
}

/** What a change did, in words; `all` are the changes of the outing. */
export function historyWords({ change }: ChangeRecord, all: readonly ChangeRecord[]): string {
  switch (change.kind) {
    case 'create':
      return 'Outing started';
    case 'edit':
      return editWords(change.operations);
    case 'discard':
      return 'Deleted';
    case 'recover':
      return 'Restored';
    case 'undo':
    case 'redo': {
      const of = all.find(({ number }) => number === change.of)?.change;
      const what = of?.kind === 'edit' ? editWords(of.operations) : '';
      return `${STEPS[change.kind]}: ${what}`;
    }
  }
}
