import equal from 'fast-deep-equal';
import { attachesTo, isLeg, writeEntry, type Entry, type EntryOf } from '../entries/entry';
import type { Outing } from '../model/outing';
import { ok } from '../units/result';
import { changedElsewhere, checked, isUnchanged, type Command } from './command';
import { insertion, type Operation } from './operations';
import { restructured, rowsOf, type Row } from './relinking';

/** True for a line that goes where the leg before it goes. */
const goesWithLeg = (entry: Entry) => attachesTo(entry) !== null && entry.kind !== 'struck';

/**
 * How many lines belong to the leg at an entry: the leg, and what was seen or done on it, with what
 * was struck out between them.
 */
export function extentOfLeg({ entries }: Outing, index: number): number {
  let end = index + 1;
  for (let at = index + 1; at < entries.length; at++) {
    const entry = entries[at];
    if (!entry || (!goesWithLeg(entry) && entry.kind !== 'struck')) break;
    if (goesWithLeg(entry)) end = at + 1;
  }
  return end - index;
}

/** The leg whose lines an index is among, so that what is inserted there would part them. */
function legParted(outing: Outing, index: number): number | null {
  const leg = outing.entries.slice(0, index).findLastIndex(isLeg);
  return leg >= 0 && index < leg + extentOfLeg(outing, leg) ? leg : null;
}

/** When and why a line was struck out. The moment is ISO 8601; the core has no clock. */
export interface Strike {
  readonly at: string;
  readonly reason?: string;
}

/** A line as it is kept once it is struck: its text, when and why. */
const struck = (entry: Entry, { at, reason }: Strike): EntryOf<'struck'> => ({
  kind: 'struck',
  at,
  ...(reason === undefined ? {} : { reason }),
  was: writeEntry(entry, 'magnetic').trim(),
});

/**
 * Strikes the line at an entry out: it stays in the log and counts for nothing; a leg takes with it
 * what was seen on it. A line that is struck already stays. `seen` is the entry as the person saw
 * it.
 */
export const strikeEntry =
  (index: number, seen: Entry, strike: Strike): Command =>
  (outing, models) => {
    if (!isUnchanged(outing, index, seen)) return changedElsewhere;
    if (seen.kind === 'struck') return ok([]);
    const end = index + (seen.kind === 'leg' ? extentOfLeg(outing, index) : 1);
    const operations: Operation[] = [];
    const rows = rowsOf(outing).map((row): Row => {
      if (row.was < index || row.was >= end) return row;
      const after = struck(row.entry, strike);
      operations.push({ op: 'replace', index: row.was, before: row.entry, after });
      return { entry: after, was: NaN };
    });
    return restructured(outing, models, operations, rows);
  };

/**
 * Inserts a line before an entry; `seen` is that entry as the person saw it. A line that belongs to
 * no leg goes before the leg whose lines it would part.
 */
export const insertEntry =
  (index: number, seen: Entry, entry: Entry): Command =>
  (outing, models) => {
    if (!isUnchanged(outing, index, seen)) return changedElsewhere;
    const at = (goesWithLeg(entry) ? null : legParted(outing, index)) ?? index;
    const rows = rowsOf(outing).toSpliced(at, 0, { entry, was: NaN });
    return restructured(outing, models, [insertion(at, [entry])], rows);
  };

/**
 * Corrects the line at an entry: what was there is struck out above it, with the time and the
 * reason. `seen` is the entry as the person saw it; the same line again changes nothing.
 */
export const correctEntry =
  (index: number, seen: Entry, after: Entry, strike: Strike): Command =>
  (outing, models) => {
    if (!isUnchanged(outing, index, seen)) return changedElsewhere;
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

/** Accepts a warning on an entry, right after it; `seen` is the entry as the person saw it. */
export const acceptWarning =
  (index: number, seen: Entry, acceptance: EntryOf<'right'>): Command =>
  (outing, models) => {
    if (!isUnchanged(outing, index, seen)) return changedElsewhere;
    return checked(outing, models, [insertion(index + 1, [acceptance])]);
  };

/** The entry of the leg before the leg at an entry, or of the one after it; null for none. */
function neighbour(outing: Outing, index: number, way: 'up' | 'down'): number | null {
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
    if (!isUnchanged(outing, index, seen)) return changedElsewhere;
    if (seen.kind !== 'leg') return ok([]);
    const other = neighbour(outing, index, way);
    if (other === null) return ok([]);
    const extent = extentOfLeg(outing, index);
    const block = outing.entries.slice(index, index + extent);
    const rows = rowsOf(outing);
    const moved = rows.slice(index, index + extent);
    const to = way === 'up' ? other : other + extentOfLeg(outing, other) - extent;
    const reordered = rows.toSpliced(index, extent).toSpliced(to, 0, ...moved);
    const operations: Operation[] = [{ op: 'remove', index, entries: block }, insertion(to, block)];
    return restructured(outing, models, operations, reordered);
  };
