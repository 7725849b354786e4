import { boxedWords, slopeWords } from '@/core/entries/describe';
import { attachesTo, isRemark, type Entry, type Leg } from '@/core/entries/entry';
import type { DistanceReading } from '@/core/readings/distance';
import { alongsOf } from '@/core/survey/leg-boxes';
import { bearingDegrees } from '@/core/readings/bearing';
import { walkLog } from '@/core/survey/log-walk';
import { stationName, type Solution, type SolvedLeg } from '@/core/survey/solution';
import { backBearing } from '@/core/units/angle';
import { NORTH_LETTERS } from '@/core/units/bearing';
import { bearingText, lengthFigure, figureUnits } from '@/ui/units/shown';
import { entryWithNote } from '@/views/shared/words/entry-words';
import { visibleText } from '@/core/units/visible';

/** A leg of the printed log: its columns, and the notes of the last one. */
interface LegRow {
  readonly cells: readonly string[];
  readonly notes: string[];
}
/** A row of the printed log: a leg, or another line in words. */
export type PrintRow = LegRow | { readonly words: string };

/** Lines that the page has in the column "from", at its head, or not at all. */
const isElsewhere = (entry: Entry) =>
  isRemark(entry) || entry.kind === 'from' || entry.kind === 'landmark';

/** What is printed in the note of the leg before it. */
const isNoteOfLeg = (entry: Entry) => attachesTo(entry) === 'leg' || entry.kind === 'see';

/** The log as it is printed. */
export function printRows(solution: Solution): PrintRow[] {
  const rows: PrintRow[] = [];
  const alongs = alongsOf(solution);
  for (const { entry, leg } of walkLog(solution)) {
    const before = rows.at(-1);
    if (isElsewhere(entry)) continue;
    if (entry.kind === 'leg' && leg)
      rows.push(legRow(solution, leg, entry, alongs.get(leg.entry) ?? []));
    else if (isNoteOfLeg(entry) && before && 'notes' in before) {
      before.notes.push(visibleText(entryWithNote(entry)));
    } else rows.push({ words: visibleText(entryWithNote(entry)) });
  }
  return rows;
}

function legRow(
  solution: Solution,
  leg: SolvedLeg,
  reading: Leg,
  alongs: readonly DistanceReading[],
): LegRow {
  const bearing = bearingDegrees(reading.bearing);
  const { north } = reading.bearing;
  const letter = north === 'magnetic' ? '' : ` ${NORTH_LETTERS[north]}`;
  const notes = [reading.to, reading.ground, slopeWords(reading), reading.time, reading.note];
  return {
    cells: [
      String(leg.number),
      visibleText(stationName(solution, leg.from)),
      bearingText(bearing) + letter,
      bearingText(backBearing(bearing)) + letter,
      boxedWords(reading.distance, alongs, figureUnits()),
      lengthFigure(leg.metres),
    ],
    notes: [visibleText(notes.filter(Boolean).join(', '))].filter(Boolean),
  };
}
