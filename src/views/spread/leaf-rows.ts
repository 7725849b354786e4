import type { Warning } from '@/core/checks/check';
import type { Entry, Leg } from '@/core/logbook';
import type { Solution } from '@/core/solve';
import { WORDS } from './words';

/** A line as it stands on the log leaf. */
export interface LeafRow {
  readonly entry: Entry;
  readonly index: number;
  /** The leg's number; 0 for other lines. */
  readonly leg: number;
  readonly metres: number | null;
  /** What the page notices about it. */
  readonly remarks: readonly { readonly text: string; readonly warns: boolean }[];
}

/** The rows of the leaf: a line each, with what the page notices beside it. */
export function leafRows(solution: Solution, warnings: readonly Warning[]): LeafRow[] {
  const remarks = new Map<number, { text: string; warns: boolean }[]>();
  const remark = (entry: number, text: string, warns: boolean) =>
    remarks.set(entry, [...(remarks.get(entry) ?? []), { text, warns }]);
  for (const { at, message } of warnings) if ('entry' in at) remark(at.entry, message, true);
  for (const { entry, station, metres, ofWalked } of solution.closures) {
    remark(entry, WORDS.closure(station, metres, ofWalked), false);
  }
  let leg = 0;
  return solution.outing.entries.map((entry, index) => {
    const isLeg = entry.kind === 'leg';
    if (isLeg) leg++;
    return {
      entry,
      index,
      leg: isLeg ? leg : 0,
      metres: isLeg ? solution.traverse.lengthMetres[leg]! : null,
      remarks: remarks.get(index) ?? [],
    };
  });
}

/** The number of the leg at an entry, or of the leg that the entry belongs to; 0 when none is. */
export function legAt(solution: Solution, index: number): number {
  let leg = 0;
  const { entries } = solution.outing;
  for (let i = 0; i <= index && i < entries.length; i++) if (entries[i]!.kind === 'leg') leg++;
  return entries[index]?.kind === 'leg' ? leg : 0;
}

export const isLeg = (entry: Entry | undefined): entry is Leg => entry?.kind === 'leg';
