import type { Warning } from '@/core/checks/check';
import { isRemark, type Entry } from '@/core/entries/entry';
import { alongsOf } from '@/core/survey/leg-boxes';
import { walkLog } from '@/core/survey/log-walk';
import type { Solution } from '@/core/survey/solution';
import type { DistanceReading } from '@/core/readings/distance';
import type { Metres } from '@/core/units/units';
import { lineWords, WORDS } from '../words';

/** Something said about a line, below it. */
interface Remark {
  readonly text: string;
  readonly warns: boolean;
}

/** A line as it is in the log pane. */
export interface LogRow {
  readonly entry: Entry;
  readonly index: number;
  /** The leg's number; 0 for other lines. */
  readonly leg: number;
  readonly metres: Metres | null;
  /** What was walked along the obstacles that were boxed on the leg. */
  readonly alongs: readonly DistanceReading[];
  readonly remarks: readonly Remark[];
}

/** How many struck lines the pane folds away. */
export const struckCount = ({ outing }: Solution): number =>
  outing.entries.filter(({ kind }) => kind === 'struck').length;

/** Warnings and misclosures by the entry that they are about. */
function remarksOf(solution: Solution, warnings: readonly Warning[]): Map<number, Remark[]> {
  const remarks = new Map<number, Remark[]>();
  const add = (entry: number, text: string, warns: boolean) =>
    remarks.set(entry, [...(remarks.get(entry) ?? []), { text, warns }]);
  for (const { at, message } of warnings) if ('entry' in at) add(at.entry, message, true);
  for (const { entry, station, metres, ofWalked } of solution.closures) {
    add(entry, WORDS.closure(station, metres, ofWalked), false);
  }
  return remarks;
}

const NO_BOXES: readonly DistanceReading[] = [];

/** The rows of the pane; struck lines and acceptances are folded away unless they are wanted. */
export function logRows(
  solution: Solution,
  warnings: readonly Warning[],
  withFolded: boolean,
): LogRow[] {
  const remarks = remarksOf(solution, warnings);
  const alongs = alongsOf(solution);
  return Array.from(walkLog(solution), ({ entry, index, leg }): LogRow => {
    const isLeg = entry.kind === 'leg';
    return {
      entry,
      index,
      leg: isLeg && leg ? leg.number : 0,
      metres: isLeg && leg ? leg.metres : null,
      alongs: (isLeg && alongs.get(index)) || NO_BOXES,
      remarks: remarks.get(index) ?? [],
    };
  }).filter(({ entry }) => withFolded || !isRemark(entry));
}

/** The rows that contain all of these words, whatever the letter case. */
export function rowsWith(rows: readonly LogRow[], words: string): readonly LogRow[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0) return rows;
  return rows.filter(({ entry, leg, remarks }) => {
    const note = 'note' in entry ? entry.note : '';
    const to = entry.kind === 'leg' ? entry.to : '';
    const said = remarks.map(({ text }) => text).join(' ');
    const text = [leg || '', lineWords(entry), to, note, said].join(' ').toLowerCase();
    return wanted.every((word) => text.includes(word));
  });
}
