import type { Columns, ReadingContext } from '../entries/entry-kind';
import { ENTRIES, isLeg, type Entry, type EntryRegistry } from '../entries/entry';
import type { Fault, OnceOnly, OutingFault } from '../faults/fault';
import { blankOuting, type Outing } from '../model/outing';
import type { EarthModels } from '../north/earth-models';
import { compassNorth } from '../north/outing-norths';
import { solve } from '../survey/solve';
import type { SurveyTools, Solution } from '../survey/solution';
import type { GridReader } from '../readings/place/grid-reader';
import type { North } from '../units/bearing';
import { fail, ok, type Result } from '../units/result';
import { NotebookPage } from './notebook-page';
import { contextAfter, PLAIN_CONTEXT, readLine, type ReadLine } from './read-line';

/** A log larger than this is refused, in bytes of UTF-8 or characters, whichever is known. */
export const LARGEST_LOG = 2_000_000;
/** More lines than anyone keeps; it holds a hostile log to well under the server's two seconds. */
const MOST_LINES = 100_000;
/** After so many faults the reader stops: a person mends the first ones first. */
const MOST_FAULTS = 20;

/** What is wrong with a log, and where: line and column count from 1. */
export interface LogFault {
  readonly fault: Fault;
  readonly line: number;
  readonly column: number;
}

/** A log whose every line was read, and where each part was. */
export interface ReadLog {
  readonly outing: Outing;
  readonly lineOfEntry: readonly number[];
  readonly columnsOfEntry: readonly Columns[];
  readonly lineOfHeader: ReadonlyMap<OnceOnly, number>;
}

/** Collects the lines of a log as they are read. */
class LogCollector {
  readonly lineOfEntry: number[] = [];
  readonly columnsOfEntry: Columns[] = [];
  readonly lineOfHeader = new Map<OnceOnly, number>();
  readonly faults: LogFault[] = [];
  private someLineRead = false;
  /** What the lines so far have set for the next one. */
  context: ReadingContext;

  constructor(
    readonly outing: Outing,
    north: North,
    grids: GridReader | null,
  ) {
    this.context = { ...PLAIN_CONTEXT, north, grids };
  }

  fault(fault: Fault, line: number, column: number): void {
    this.faults.push({ fault, line, column });
    this.someLineRead = true;
  }

  take(read: ReadLine, line: number, column: number): void {
    if ('entry' in read) {
      const { entry, columns } = read;
      this.follow(entry);
      this.outing.entries.push(entry);
      this.lineOfEntry.push(line);
      this.columnsOfEntry.push(columns);
    } else {
      this.takeHeader(read.once, line, column);
      Object.assign(this.outing, read.header);
    }
    this.someLineRead = true;
  }

  /**
   * A log that says what it is was written by a program, in metres where no unit stands; one by
   * hand is in the unit of its leg.
   */
  private follow(entry: Entry): void {
    if (this.lineOfHeader.has('header') && isLeg(entry)) return;
    this.context = contextAfter(this.context, entry);
  }

  private takeHeader(once: OnceOnly, line: number, column: number): void {
    const firstLine = this.lineOfHeader.get(once);
    if (firstLine !== undefined) {
      this.fault({ code: 'twice', what: once, firstLine }, line, column);
    } else if (once === 'header' && this.someLineRead) {
      this.fault({ code: 'unexpected', found: 'cairn-back', expected: 'line' }, line, column);
    }
    this.lineOfHeader.set(once, firstLine ?? line);
  }
}

/** What decides which north a compass reads from, wherever in the log it is written. */
function methodOf(lines: readonly string[]): Outing {
  const said = lines.filter((line) => /^\s*(correction|declination|convergence)\b/i.test(line));
  return said.reduce((outing, line) => {
    const read = readLine(line);
    return read.ok && 'header' in read.value ? { ...outing, ...read.value.header } : outing;
  }, blankOuting(''));
}

/**
 * Reads every line of a log, without solving it. Blank lines, lines that begin with # and the heads
 * of columns are skipped. Fails with the faults of all lines, the first twenty.
 */
export function readLines(
  text: string,
  id: string,
  grids: GridReader | null = null,
  entries: EntryRegistry = ENTRIES,
): Result<ReadLog, LogFault[]> {
  const tooLarge = (most: number, unit: 'bytes' | 'lines', line: number) =>
    fail<LogFault[]>([{ fault: { code: 'too-large', most, unit }, line, column: 1 }]);
  if (text.length > LARGEST_LOG) return tooLarge(LARGEST_LOG, 'bytes', 1);
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/);
  if (lines.length > MOST_LINES) return tooLarge(MOST_LINES, 'lines', MOST_LINES + 1);
  const log = new LogCollector(blankOuting(id), compassNorth(methodOf(lines)), grids);
  const page = new NotebookPage();
  for (const [index, row] of lines.entries()) {
    if (log.faults.length >= MOST_FAULTS) break;
    const first = row.trimStart();
    const written = first === '' || first.startsWith('#') ? null : page.lineOf(row);
    if (written === null) continue;
    const read = readLine(written, log.context, entries);
    if (read.ok) log.take(read.value, index + 1, written.length - first.length + 1);
    else log.fault(read.fault.fault, index + 1, read.fault.column);
  }
  if (log.faults.length > 0) return fail(log.faults);
  if (!log.lineOfHeader.has('show')) log.outing.show = { north: compassNorth(log.outing) };
  const { outing, lineOfEntry, columnsOfEntry, lineOfHeader } = log;
  return ok({ outing, lineOfEntry, columnsOfEntry, lineOfHeader });
}

/** Where in the log a fault of the outing is. */
export function locate(log: ReadLog, { fault, at }: OutingFault): LogFault {
  if ('header' in at) return { fault, line: log.lineOfHeader.get(at.header) ?? 1, column: 1 };
  const columns = log.columnsOfEntry[at.entry] ?? {};
  const column = (columns[at.field] ?? columns.whole ?? 0) + 1;
  return { fault, line: log.lineOfEntry[at.entry] ?? 1, column };
}

/** A log that was read and solved: the one reader of files, of endpoints and of pasted text. */
export interface SolvedLog extends ReadLog {
  readonly solution: Solution;
}

/** Reads a log and solves it; fails with all that can't be read, or the first line that fails. */
export function readLog(
  text: string,
  id: string,
  models: EarthModels | null,
  tools: SurveyTools | null = null,
): Result<SolvedLog, LogFault[]> {
  const log = readLines(text, id, tools?.readGrid ?? null);
  if (!log.ok) return log;
  const solved = solve(log.value.outing, models, { tools });
  if (!solved.ok) return fail([locate(log.value, solved.fault)]);
  return ok({ ...log.value, solution: solved.value });
}
