import { writeEntry, type Entry } from '../entries/entry';
import type { Fault, OnceOnly, OutingFault } from '../faults/fault';
import type { Header } from '../model/header';
import type { EarthModels } from '../north/earth-models';
import { compassNorth } from '../north/outing-norths';
import { unsolvable } from '../survey/solve';
import type { Solution, SurveyTools } from '../survey/solution';
import { NotebookPage } from './notebook-page';
import { contextAtEnd } from './interpret';
import { contextAfter, readLine, type Repair } from './read-line';
import { headerLine } from './write-log';
import { nth } from '../units/nth';

/** One of several lines: as it will be written, or what is wrong with it. */
export interface LineOfMany {
  /** From 1, in the text. */
  readonly line: number;
  readonly text: string;
  readonly written: string;
  readonly fault: Fault | null;
  readonly repairs: readonly Repair[];
}

/** Several lines as the next ones of a log; they can be added when none has a fault. */
export interface MoreLines {
  readonly lines: readonly LineOfMany[];
  readonly entries: readonly Entry[];
  readonly header: Partial<Header>;
}

/** More lines than this are a file: they are imported. */
export const MOST_PASTED = 500;

/** Reads several lines as the next of a solution's log: blank lines and `#` lines are skipped. */
export function readMoreLines(
  text: string,
  solution: Solution,
  models: EarthModels | null,
  tools: SurveyTools | null = solution.tools,
): MoreLines {
  const { outing } = solution;
  const lines: LineOfMany[] = [];
  const entries: Entry[] = [];
  const lineOfEntry: number[] = [];
  const lineOfHeader = new Map<OnceOnly, number>();
  let header: Partial<Header> = {};
  let context = contextAtEnd(solution, tools);
  const page = new NotebookPage();
  for (const [index, row] of text.split(/\r\n|\n|\r/).entries()) {
    const first = row.trim();
    const trimmed = first === '' || first.startsWith('#') ? null : page.lineOf(row)?.trim();
    if (!trimmed) continue;
    const read = readLine(trimmed, context);
    const about = { line: index + 1, text: trimmed };
    if (!read.ok) {
      const { fault, repairs } = read.fault;
      lines.push({ ...about, written: '', fault, repairs });
    } else if ('entry' in read.value) {
      const { entry } = read.value;
      const canonical = writeEntry(entry, context.north).trim();
      lineOfEntry.push(lines.length);
      lines.push({ ...about, written: canonical, fault: null, repairs: [] });
      entries.push(entry);
      // As in a whole log: one that says what it is was written by a program, in metres.
      const after = contextAfter(context, entry);
      context = lineOfHeader.has('header') ? { ...context, north: after.north } : after;
    } else {
      const { once } = read.value;
      const firstLine = lines[lineOfHeader.get(once) ?? -1]?.line;
      const fault: Fault | null = firstLine ? { code: 'twice', what: once, firstLine } : null;
      if (!fault) lineOfHeader.set(once, lines.length);
      if (once === 'header') context = { ...context, bareUnit: 'metres' };
      header = { ...header, ...read.value.header };
      if (![...outing.entries, ...entries].some(({ kind }) => kind === 'read')) {
        context = { ...context, north: compassNorth({ ...outing, ...header }) };
      }
      const canonical = headerLine({ ...outing, ...header }, once);
      lines.push({ ...about, written: canonical, fault, repairs: [] });
    }
  }
  const canBeRead = lines.every(({ fault }) => fault === null);
  const wrong = canBeRead ? faultOfWhole(solution, header, entries, models) : null;
  if (wrong) {
    const { at } = wrong;
    const found = 'header' in at ? lineOfHeader.get(at.header) : lineOfEntry[at.entry];
    const line = found ?? 0;
    lines.splice(line, 1, { ...nth(lines, line), fault: wrong.fault });
  }
  return { lines, entries, header };
}

/** The first line that the outing doesn't allow, its entry counted among the new ones. */
function faultOfWhole(
  { outing }: Solution,
  header: Partial<Header>,
  entries: readonly Entry[],
  models: EarthModels | null,
): OutingFault | null {
  const before = outing.entries.length;
  const after = { ...outing, ...header, entries: [...outing.entries, ...entries] };
  const wrong = unsolvable(after, models);
  if (!wrong) return null;
  const { fault, at } = wrong;
  return { fault, at: 'entry' in at ? { ...at, entry: at.entry - before } : at };
}
