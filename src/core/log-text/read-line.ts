import { fail, ok, type Result } from '../result';
import type { Fault } from '../faults';
import type { North } from '../north';
import { editDistance } from '../suggest';
import { Cursor, Refusal } from './cursor';
import type { ReadLine } from './line-kind';
import { LINE_KINDS } from './lines';
import { readLeg } from './lines/leg';

/** The longest note that is kept. */
const LONGEST_NOTE = 2000;
const KEYWORD = /[a-z][a-z-]*(?=\s|$|;)/iy;
const LEG_BEGINS = /^(\d|[-+]?[.\d]|[nesw]\d|[nesw]{1,3}[mtg]?(\s|$|;))/i;

export interface LineFault {
  readonly fault: Fault;
  /** From 1. */
  readonly column: number;
}

/** Reads one line that is neither blank nor a comment; `read` is the north of bearings without a letter. */
export function readLine(text: string, read: North): Result<ReadLine, LineFault> {
  try {
    return ok(readLineOrThrow(text, read));
  } catch (thrown) {
    if (!(thrown instanceof Refusal)) throw thrown;
    return fail({ fault: thrown.fault, column: thrown.column + 1 });
  }
}

function readLineOrThrow(text: string, read: North): ReadLine {
  const start = text.length - text.trimStart().length;
  const probe = new Cursor(text, text.length);
  probe.position = start;
  const isNumber = /\d/.test(text[start] ?? '');
  const keyword = isNumber ? undefined : probe.take(KEYWORD)?.[0];
  const kind = keyword === undefined ? undefined : LINE_KINDS.get(keyword.toLowerCase());

  const semicolon = kind?.takesWholeLine ? -1 : text.indexOf(';', start);
  const end = semicolon < 0 ? text.trimEnd().length : semicolon;
  const note = semicolon < 0 ? undefined : text.slice(semicolon + 1).trim() || undefined;
  const cursor = new Cursor(text, end);
  cursor.position = start;
  if (note !== undefined && note.length > LONGEST_NOTE) {
    const found = note.slice(0, 20);
    cursor.refuse({ code: 'too-long', what: 'note', most: LONGEST_NOTE, found }, semicolon + 1);
  }
  if (kind) {
    cursor.position = probe.position;
    cursor.skipSpace();
    return kind.parse(cursor, note, read);
  }
  if (!isNumber && !LEG_BEGINS.test(text.slice(start, start + 8)))
    cursor.expected('line', nearestLine(cursor));
  return readLeg(cursor, note, read);
}

/** The line with its first word mended, if a keyword is near. */
function nearestLine(cursor: Cursor): string[] | undefined {
  const word = cursor.peekWord().toLowerCase();
  for (const keyword of LINE_KINDS.keys()) {
    const changes = editDistance(word, keyword, 3);
    if (changes === 0 || changes > (keyword.length > 4 ? 2 : 1)) {
      // Two letters in each other's place count as two changes, and are the commonest slip.
      const swapped = [...word].sort().join('') === [...keyword].sort().join('');
      if (!swapped) continue;
    }
    const rest = cursor.text.slice(cursor.position + word.length).trim();
    return rest.length > 200 ? [keyword] : [`${keyword} ${rest}`.trim()];
  }
  return undefined;
}
