import type { EarthModels } from '../earth-models';
import type { Fault, Field, OnceOnly, OutingFault } from '../faults';
import { blankOuting, type Outing } from '../logbook';
import type { North } from '../north';
import { fail, ok, type Result } from '../result';
import { solve, type Solution } from '../solve';
import type { ReadLine } from './line-kind';
import { readLine } from './read-line';

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

/** A log whose every line was read, and where each thing stood. */
export interface ReadLog {
  readonly outing: Outing;
  readonly lineOfEntry: readonly number[];
  readonly columnsOfEntry: readonly ReadLine['columns'][];
  readonly lineOfHeader: ReadonlyMap<OnceOnly, number>;
}

/**
 * Reads every line of a log, without working it out. Blank lines and lines that begin with # are skipped.
 * Fails with the faults of all lines, the first twenty.
 */
export function readLines(text: string, id: string): Result<ReadLog, LogFault[]> {
  if (text.length > LARGEST_LOG) {
    const fault: Fault = { code: 'too-large', most: LARGEST_LOG, unit: 'bytes' };
    return fail([{ fault, line: 1, column: 1 }]);
  }
  const outing = blankOuting(id);
  const lineOfEntry: number[] = [];
  const columnsOfEntry: ReadLine['columns'][] = [];
  const lineOfHeader = new Map<OnceOnly, number>();
  const faults: LogFault[] = [];
  let read: North = 'magnetic';
  let someLineRead = false;

  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/);
  if (lines.length > MOST_LINES) {
    const fault: Fault = { code: 'too-large', most: MOST_LINES, unit: 'lines' };
    return fail([{ fault, line: MOST_LINES + 1, column: 1 }]);
  }
  for (let i = 0; i < lines.length && faults.length < MOST_FAULTS; i++) {
    const written = lines[i]!;
    const first = written.trimStart();
    if (first === '' || first.startsWith('#')) continue;
    const line = i + 1;
    const found = readLine(written, read);
    if (!found.ok) {
      faults.push({ ...found.fault, line });
      someLineRead = true;
      continue;
    }
    const { entry, header, once, columns } = found.value;
    if (once) {
      const column = written.length - first.length + 1;
      const firstLine = lineOfHeader.get(once);
      if (firstLine !== undefined) {
        faults.push({ fault: { code: 'twice', what: once, firstLine }, line, column });
      } else if (once === 'header' && someLineRead) {
        const fault: Fault = { code: 'unexpected', found: 'cairn-back', expected: 'line' };
        faults.push({ fault, line, column });
      }
      lineOfHeader.set(once, firstLine ?? line);
    }
    someLineRead = true;
    if (header) Object.assign(outing, header);
    if (entry) {
      if (entry.kind === 'read') read = entry.north;
      outing.entries.push(entry);
      lineOfEntry.push(line);
      columnsOfEntry.push(columns);
    }
  }
  if (faults.length > 0) return fail(faults);
  return ok({ outing, lineOfEntry, columnsOfEntry, lineOfHeader });
}

/** Where in the log a fault of the outing stands. */
function locate(log: ReadLog, { fault, at }: OutingFault): LogFault {
  if ('header' in at) return { fault, line: log.lineOfHeader.get(at.header) ?? 1, column: 1 };
  const columns = log.columnsOfEntry[at.entry] ?? {};
  const column = (columns[at.field as Field] ?? columns.whole ?? 0) + 1;
  return { fault, line: log.lineOfEntry[at.entry] ?? 1, column };
}

/** A log that was read and worked out: the one reader of files, of the endpoints and of pasted text. */
export interface SolvedLog extends ReadLog {
  readonly solution: Solution;
}

/** Reads a log and works it out; fails with all that can't be read, or the first that can't be worked out. */
export function readLog(
  text: string,
  id: string,
  models: EarthModels | null,
): Result<SolvedLog, LogFault[]> {
  const log = readLines(text, id);
  if (!log.ok) return log;
  const solved = solve(log.value.outing, models);
  if (!solved.ok) return fail([locate(log.value, solved.fault)]);
  return ok({ ...log.value, solution: solved.value });
}
