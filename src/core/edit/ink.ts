import equal from 'fast-deep-equal';
import type { Entry, EntryOf, Outing } from '../logbook';
import { writeEntry } from '../log-text/write-log';
import { ok } from '../result';
import { checked, elsewhere, stands, type Command } from './command';
import { insertion, type Operation } from './operations';
import { restructured, rowsOf } from './relinking';

/** Lines that speak of the leg before them, and go where it goes. */
const OF_A_LEG: ReadonlySet<Entry['kind']> = new Set(['at', 'see', 'box', 'passed', 'right']);

/** How many lines belong to the leg at an entry: the leg, and what was seen or done on it. */
export function extentOfLeg(outing: Outing, index: number): number {
  let end = index + 1;
  while (end < outing.entries.length && OF_A_LEG.has(outing.entries[end]!.kind)) end++;
  return end - index;
}

/** When and why a line was struck out. The moment is ISO 8601; the core has no clock. */
export interface Strike {
  readonly at: string;
  readonly reason?: string;
}

/** A line as it stands on the page once it is struck: its text, when and why. */
const struck = (entry: Entry, { at, reason }: Strike): Entry => ({
  kind: 'struck',
  at,
  ...(reason === undefined ? {} : { reason }),
  was: writeEntry(entry, 'magnetic').trim(),
});

/**
 * Strikes the line at an entry out: it stays on the page and counts for nothing; a leg takes with it what was seen on
 * it. A line that is struck already stays. `seen` is the entry as the person saw it.
 */
export const strikeEntry =
  (index: number, seen: Entry, strike: Strike): Command =>
  (outing, models) => {
    if (!stands(outing, index, seen)) return elsewhere;
    if (seen.kind === 'struck') return ok([]);
    const extent = seen.kind === 'leg' ? extentOfLeg(outing, index) : 1;
    const rows = rowsOf(outing);
    const operations: Operation[] = [];
    for (let at = index; at < index + extent; at++) {
      const before = outing.entries[at]!;
      const after = struck(before, strike);
      operations.push({ op: 'replace', index: at, before, after });
      rows[at] = { entry: after, was: NaN };
    }
    return restructured(outing, models, operations, rows);
  };

/** Puts a line in before an entry; `seen` is that entry as the person saw it. */
export const insertEntry =
  (index: number, seen: Entry, entry: Entry): Command =>
  (outing, models) => {
    if (!stands(outing, index, seen)) return elsewhere;
    const rows = rowsOf(outing).toSpliced(index, 0, { entry, was: NaN });
    return restructured(outing, models, [insertion(index, [entry])], rows);
  };

/**
 * Corrects the line at an entry: what stood there is struck out above it, with the time and the reason. `seen` is the
 * entry as the person saw it; the same line again changes nothing.
 */
export const correctEntry =
  (index: number, seen: Entry, after: Entry, strike: Strike): Command =>
  (outing, models) => {
    if (!stands(outing, index, seen)) return elsewhere;
    if (seen.kind === 'struck' || equal(seen, after)) return ok([]);
    const old = struck(seen, strike);
    const operations: Operation[] = [
      { op: 'replace', index, before: seen, after: old },
      insertion(index + 1, [after]),
    ];
    const corrected = { entry: after, was: index };
    const rows = rowsOf(outing).toSpliced(index, 1, { entry: old, was: NaN }, corrected);
    return restructured(outing, models, operations, rows);
  };

/** Puts a remark right after an entry and what is already remarked on it; `seen` is the entry as the person saw it. */
export const remarkOn =
  (index: number, seen: Entry, remark: EntryOf<'right'>): Command =>
  (outing, models) => {
    if (!stands(outing, index, seen)) return elsewhere;
    return checked(outing, models, [insertion(index + 1, [remark])]);
  };

/** The first entry of the leg before the leg at an entry, or the one after it; null where there is none. */
function neighbour(outing: Outing, index: number, way: 'up' | 'down'): number | null {
  const isLeg = ({ kind }: Entry) => kind === 'leg';
  if (way === 'up') {
    const found = outing.entries.slice(0, index).findLastIndex(isLeg);
    return found < 0 ? null : found;
  }
  const after = index + extentOfLeg(outing, index);
  const found = outing.entries.slice(after).findIndex(isLeg);
  return found < 0 ? null : after + found;
}

/** Moves a leg, with what was seen on it, before the leg above it or after the one below it. */
export const moveLeg =
  (index: number, seen: Entry, way: 'up' | 'down'): Command =>
  (outing, models) => {
    if (!stands(outing, index, seen)) return elsewhere;
    if (seen.kind !== 'leg') return ok([]);
    const other = neighbour(outing, index, way);
    if (other === null) return ok([]);
    const extent = extentOfLeg(outing, index);
    const block = outing.entries.slice(index, index + extent);
    const rows = rowsOf(outing);
    const moved = rows.splice(index, extent);
    const to = way === 'up' ? other : other + extentOfLeg(outing, other) - extent;
    rows.splice(to, 0, ...moved);
    const operations: Operation[] = [{ op: 'remove', index, entries: block }, insertion(to, block)];
    return restructured(outing, models, operations, rows);
  };
