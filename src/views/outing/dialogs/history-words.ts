import type { Operation } from '@/core/edit/operations';
import { writeEntry, type Entry } from '@/core/entries/entry';
import type { ChangeRecord } from '@/store/change';

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
      return `${change.kind === 'undo' ? 'Undone' : 'Redone'}: ${what}`;
    }
  }
}
