import { ENTRIES, isLeg, type Entry, type EntryRegistry } from '../entries/entry';
import type { Columns, ReadingContext } from '../entries/entry-kind';
import { legKind } from '../entries/kinds/leg';
import { LineCursor } from '../entries/line-cursor';
import type { Fault, OnceOnly } from '../faults/fault';
import { suggestedReadings } from '../faults/messages';
import { editDistance } from '../faults/nearest-name';
import type { Header } from '../model/header';
import { Refusal, type Cursor } from '../readings/cursor';
import { bareUnitOf } from '../readings/distance';
import { LONGEST_NOTE } from '../readings/shape';
import { fail, ok, type Result } from '../units/result';
import { HEADER_LINE_BY_KEYWORD } from './header-lines';

/** A keyword: a word, or the `;` of a remark. Some people put a colon after the word. */
const KEYWORD = /(?:([a-z][a-z-]*)(?=\s|$|[;:])|;)/iy;
const LEG_BEGINS = new RegExp(
  String.raw`^(\d|[-+]?[.\d]|[ns]\s?\d|[nesw]{1,3}[mtg]?([\s;,:/-]|$)|due\s|` +
    String.raw`north|south|east|west|bearing|brg|az|heading|hdg)`,
  'i',
);

/** A line of a log as it was read: an entry, or a part of the header that may be there once. */
export type ReadLine =
  | { readonly entry: Entry; readonly columns: Columns }
  | { readonly header: Partial<Header>; readonly once: OnceOnly };

/** A suggested reading: its text, and the whole line with it, which can be read. */
export interface Repair {
  readonly reading: string;
  readonly line: string;
}

export interface LineFault {
  readonly fault: Fault;
  /** From 1. */
  readonly column: number;
  readonly repairs: readonly Repair[];
}

/** A line on its own: bearings are magnetic, bare lengths metres, and no grid is read. */
export const PLAIN_CONTEXT: ReadingContext = {
  north: 'magnetic',
  bareUnit: 'metres',
  grids: null,
};

/** The context of the line after an entry that was written by hand. */
export function contextAfter(context: ReadingContext, entry: Entry): ReadingContext {
  const { readingNorth } = ENTRIES.setBy(entry);
  if (readingNorth) return { ...context, north: readingNorth };
  if (!isLeg(entry)) return context;
  const bareUnit = bareUnitOf(entry.distance);
  return bareUnit === context.bareUnit ? context : { ...context, bareUnit };
}

/** Reads one line that is neither blank nor a comment. */
export function readLine(
  text: string,
  context: ReadingContext = PLAIN_CONTEXT,
  entries: EntryRegistry = ENTRIES,
): Result<ReadLine, LineFault> {
  const refusal = refusalOf(text, context, entries);
  if (!(refusal instanceof Refusal)) return ok(refusal);
  const { fault, column } = refusal;
  const repairs = repairsOf(text, refusal, context, entries);
  return fail({ fault: withReadings(fault, repairs), column: column + 1, repairs });
}

/** The line as it was read, or why it can't be. */
function refusalOf(
  text: string,
  context: ReadingContext,
  entries: EntryRegistry,
): ReadLine | Refusal {
  try {
    return readLineOrThrow(text, context, entries);
  } catch (thrown) {
    if (thrown instanceof Refusal) return thrown;
    throw thrown;
  }
}

/** Longer lines are not written out again as a suggestion. */
const LONGEST_SUGGESTION = 300;

/** The line with each suggested reading in the place of what it stands for, if that can be read. */
function repairsOf(
  text: string,
  { fault, start, end }: Refusal,
  context: ReadingContext,
  entries: EntryRegistry,
): Repair[] {
  const readings = suggestedReadings(fault);
  // A figure that ends where another begins would become one with it.
  const isGlued = /^[a-z\d]/i.test(text.slice(end)) && end > start;
  if (readings.length === 0 || text.length > LONGEST_SUGGESTION || isGlued) return [];
  return readings
    .map((reading) => ({ reading, line: text.slice(0, start) + reading + text.slice(end) }))
    .filter(({ line }) => !(refusalOf(line, context, entries) instanceof Refusal));
}

/** The fault with only those readings that can be read in their place. */
function withReadings(fault: Fault, repairs: readonly Repair[]): Fault {
  if (fault.code !== 'unexpected' || !fault.nearest) return fault;
  const nearest = repairs.map(({ reading }) => reading);
  return { ...fault, nearest: nearest.length > 0 ? nearest : undefined };
}

/** The number of a line on a page, `12.` or `12)`: no reading ends so. */
const PAGE_NUMBER = /^\s*\d{1,4}[.)]\s+(?=\S)/;

function readLineOrThrow(text: string, context: ReadingContext, entries: EntryRegistry): ReadLine {
  const numbered = PAGE_NUMBER.exec(text)?.[0].length;
  const start = numbered ?? text.length - text.trimStart().length;
  const keyword = keywordAt(text, start);
  const header = HEADER_LINE_BY_KEYWORD.get(keyword ?? '');
  const kind = entries.byKeyword.get(keyword ?? '');
  const { note, end } = splitNote(text, start, (header ?? kind)?.takesWholeLine ?? false);
  const cursor = new LineCursor(text, end, context.grids);
  cursor.position = start;
  if (note !== undefined && note.length > LONGEST_NOTE) {
    const found = note.slice(0, 20);
    cursor.refuse({ code: 'too-long', what: 'note', most: LONGEST_NOTE, found }, end + 1);
  }
  if (header || kind) {
    cursor.position += keyword?.length ?? 0;
    cursor.take(/\s*:/y);
    cursor.skipSpace();
  }
  if (header) return { header: header.read(cursor, note), once: header.once };
  if (kind) return withShortNote(cursor, start, kind.read(cursor, note, context));
  if (!LEG_BEGINS.test(text.slice(start, start + 8))) {
    cursor.expected('line', nearestKeywords(cursor, entries));
  }
  return withShortNote(cursor, start, legKind.read(cursor, note, context));
}

/** The line, unless a note in it that has no `;` is too long. */
function withShortNote<Read extends { readonly entry: Entry }>(
  cursor: Cursor,
  column: number,
  read: Read,
): Read {
  const { entry } = read;
  const note = 'what' in entry ? entry.what : 'note' in entry ? entry.note : undefined;
  if (note === undefined || note.length <= LONGEST_NOTE) return read;
  const found = note.slice(0, 20);
  return cursor.refuse({ code: 'too-long', what: 'note', most: LONGEST_NOTE, found }, column);
}

/** The keyword that a line begins with, in lower case; undefined for a leg. */
function keywordAt(text: string, start: number): string | undefined {
  KEYWORD.lastIndex = start;
  return KEYWORD.exec(text)?.[0].toLowerCase();
}

/** The note after the `;`, and where the part before it ends. */
function splitNote(text: string, start: number, takesWholeLine: boolean) {
  const semicolon = takesWholeLine ? -1 : text.indexOf(';', start);
  if (semicolon < 0) return { note: undefined, end: text.trimEnd().length };
  return { note: text.slice(semicolon + 1).trim() || undefined, end: semicolon };
}

const sorted = (word: string) => [...word].sort().join('');

/** The keywords that the first word nearly is. */
function nearestKeywords(cursor: Cursor, entries: EntryRegistry): string[] {
  const word = cursor.peekWord().toLowerCase();
  // A figure or a sign in it may be a reading: such a word is no keyword.
  if (!/^[a-z-]+:?$/.test(word)) return [];
  const keywords = [...HEADER_LINE_BY_KEYWORD.keys(), ...entries.byKeyword.keys()];
  return keywords.filter((keyword) => {
    const changes = editDistance(word, keyword);
    const mostChanges = keyword.length > 4 ? 2 : 1;
    // Two letters in each other's place count as two changes, and are the commonest slip.
    const near = (changes > 0 && changes <= mostChanges) || sorted(word) === sorted(keyword);
    return keyword.length > 1 && near;
  });
}

/** Reads one line of a header by its keyword, as in a field of its own. */
export function readHeaderLine(keyword: OnceOnly, text: string): Result<Partial<Header>, Fault> {
  const line = readLine(`${keyword} ${text}`);
  if (!line.ok) return fail(line.fault.fault);
  return ok('header' in line.value ? line.value.header : {});
}
