import { ENTRIES, writeEntry, type Entry } from '../entries/entry';
import type { ReadingContext } from '../entries/entry-kind';
import type { FieldFault } from '../entries/reckoning';
import { suggestedReadings } from '../faults/messages';
import type { Header } from '../model/header';
import { PreviewReckoning, type PreviewLeg } from '../navigation/preview';
import { bareUnitOf } from '../readings/distance';
import { stationName, stationNamed, type Solution, type SurveyTools } from '../survey/solution';
import { readLine, type LineFault, type Repair } from './read-line';
import { headerLine } from './write-log';

/** How a line that is being typed is read, before it is saved. Columns count from 1. */
export type Interpretation =
  | { readonly kind: 'nothing' }
  | ({ readonly kind: 'fault' } & LineFault)
  | {
      readonly kind: 'entry';
      readonly entry: Entry;
      /** The line as it will be written. */
      readonly written: string;
      readonly preview: PreviewLeg | null;
    }
  | {
      readonly kind: 'header';
      readonly header: Partial<Header>;
      readonly written: string;
      /** The outing's day with the line, for the sum of a margin. */
      readonly day: string | undefined;
    };

/** What the log so far sets for the reading of its next line. */
export function contextAtEnd(
  { end, legs, tools: solvedWith }: Solution,
  tools: SurveyTools | null = solvedWith,
): ReadingContext {
  const last = legs.count > 0 ? legs.leg(legs.count).reading.distance : null;
  const bareUnit = last ? bareUnitOf(last) : 'metres';
  return { north: end.readingNorth, bareUnit, grids: tools?.readGrid ?? null };
}

/**
 * Reads one line as the next of a solution's log, at a cost that doesn't grow with the log. A place
 * by a grid needs the tools, where the log itself was solved without.
 */
export function interpretLine(
  text: string,
  solution: Solution,
  tools: SurveyTools | null = solution.tools,
): Interpretation {
  if (text.trim() === '') return { kind: 'nothing' };
  const line = readLine(text, contextAtEnd(solution, tools));
  if (!line.ok) return { kind: 'fault', ...line.fault };
  if ('header' in line.value) {
    const { header, once } = line.value;
    if (Object.keys(header).length === 0) return { kind: 'nothing' };
    const outing = { ...solution.outing, ...header };
    return { kind: 'header', header, written: headerLine(outing, once), day: outing.date?.day };
  }
  const { columns } = line.value;
  const entry = withKnownName(line.value.entry, solution);
  const written = writeEntry(entry, solution.end.readingNorth).trim();
  const reckoning = new PreviewReckoning(solution);
  const wrong = ENTRIES.of(entry).apply(entry, reckoning);
  if (!wrong) return { kind: 'entry', entry, written, preview: reckoning.leg };
  const column = (columns[wrong.field] ?? columns.whole ?? 0) + 1;
  const repairs = repairsOf(wrong, entry, text, column - 1);
  return { kind: 'fault', fault: wrong.fault, column, repairs };
}

/** The line with a station's name as the log has it, whatever its letter case and spaces here. */
function withKnownName(entry: Entry, solution: Solution): Entry {
  const station = ENTRIES.of(entry).station;
  const name = station?.get(entry);
  const known = name === undefined ? undefined : stationNamed(solution, name);
  return station && known !== undefined ? station.set(entry, stationName(solution, known)) : entry;
}

/** The line with a station that exists in the place of one that doesn't. */
function repairsOf({ fault }: FieldFault, entry: Entry, text: string, column: number): Repair[] {
  const name = ENTRIES.of(entry).station?.get(entry);
  if (fault.code !== 'unknown-station' || !name || !text.startsWith(name, column)) return [];
  return suggestedReadings(fault).map((reading) => ({
    reading,
    line: text.slice(0, column) + reading + text.slice(column + name.length),
  }));
}
