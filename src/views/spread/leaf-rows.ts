import type { Warning } from '@/core/checks/check';
import type { Entry, Leg } from '@/core/logbook';
import type { Solution } from '@/core/solve';
import { lineWords, WORDS } from './words';

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

/** What is shown only on demand: lines that were struck out, and what was said to be right. */
const isFolded = ({ kind }: Entry) => kind === 'struck' || kind === 'right';

/** How many lines the leaf keeps folded away. */
export const struckCount = (solution: Solution): number =>
  solution.outing.entries.filter(({ kind }) => kind === 'struck').length;

/** The rows of the leaf: a line each, with what the page notices beside it. */
export function leafRows(
  solution: Solution,
  warnings: readonly Warning[],
  withStruck: boolean,
): LeafRow[] {
  const remarks = new Map<number, { text: string; warns: boolean }[]>();
  const remark = (entry: number, text: string, warns: boolean) =>
    remarks.set(entry, [...(remarks.get(entry) ?? []), { text, warns }]);
  for (const { at, message } of warnings) if ('entry' in at) remark(at.entry, message, true);
  for (const { entry, station, metres, ofWalked } of solution.closures) {
    remark(entry, WORDS.closure(station, metres, ofWalked), false);
  }
  let leg = 0;
  const rows = solution.outing.entries.map((entry, index) => {
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
  return withStruck ? rows : rows.filter(({ entry }) => !isFolded(entry));
}

/** The rows in which all of these words stand, in any letter case. */
export function rowsWith(rows: readonly LeafRow[], words: string): readonly LeafRow[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0) return rows;
  return rows.filter(({ entry, leg, remarks }) => {
    const note = 'note' in entry ? entry.note : '';
    const to = entry.kind === 'leg' ? entry.to : '';
    const said = remarks.map(({ text }) => text).join(' ');
    const text = `${leg || ''} ${lineWords(entry)} ${to ?? ''} ${note ?? ''} ${said}`.toLowerCase();
    return wanted.every((word) => text.includes(word));
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
