import { editDistance } from '../faults/nearest-name';
import { GROUNDS } from '../readings/ground';
import type { Cursor } from '../readings/cursor';
import type { FeatureKind } from './feature';
import { joinedNotes } from './joined-notes';
import { UNIT_NAMES } from '../readings/unit-words';

/** Words that are no note: directions, norths, and the words that lines and parts begin with. */
const RESERVED: ReadonlySet<string> = new Set([
  ...UNIT_NAMES,
  ...GROUNDS,
  ...'n ne nne ene e ese se sse s ssw sw wsw w wnw nw nnw'.split(' '),
  ...'north south east west northeast southeast northwest southwest'.split(' '),
  // Units that are not read, and words of which nobody knows how long one is.
  ...'cm mm inch chain rod furlong league klick nm nmi cable fathom k min sec second hour'.split(
    ' ',
  ),
  ...'hundred thousand knot stride click count tick tap ell span rope length tape'.split(' '),
  ...'left right up down back bb on to for along magnetic mag true grid'.split(' '),
  ...'bearing brg azimuth az deg degree per spread mil gon grad'.split(' '),
  ...'at see from box passed out expect struck read aim pace landmark'.split(' '),
  ...'cairn-back outing date declination correction convergence show'.split(' '),
]);

/** True for a word that may be meant as a reading: no note without a `;` holds it. */
export function isReservedWord(word: string): boolean {
  const small = word.toLowerCase();
  return RESERVED.has(small) || RESERVED.has(small.replace(/s$/, ''));
}

/** A word of a note: no figure, no sign that a reading begins with. */
const PLAIN_WORD = /^[\p{L}\p{M}]+(?:['’.-][\p{L}\p{M}]+)*['’]?[.!?,:]?$/u;
const OF_READINGS = /[\p{N}@<>%°º½→=+]/u;
const CLOSING: Readonly<Record<string, string>> = { '(': ')', '[': ']' };
const MARK = /\s*([([]|[-–—](?=\s))\s*/y;

/**
 * The note that the words here are, without a `;`: plain words that hold no number, unit, ground,
 * direction or keyword. Null, and nothing taken, where they may be meant as anything else.
 */
export function takeTrailingNote(cursor: Cursor): string | null {
  const words = cursor.text.slice(cursor.position, cursor.end).trim();
  const each = words.split(/\s+/);
  const plain = each.every((word) => PLAIN_WORD.test(word) && !isReservedWord(bare(word)));
  const initial = each.length === 1 && words.length === 1;
  // `start` alone may be where the leg leads; with more words it is what was seen.
  const isStation = /^start$/i.test(words);
  if (words === '' || !plain || initial || isStation) return null;
  if (looksMisspelt(bare(each[0] ?? ''))) return null;
  cursor.position = cursor.end;
  return words;
}

const bare = (word: string) => word.replace(/[.!?,:]$/, '');

/** The note after a dash or in brackets; null, and nothing taken, where it may be a reading. */
export function takeMarkedNote(cursor: Cursor): string | null {
  const start = cursor.position;
  const opening = cursor.take(MARK)?.[1];
  if (opening === undefined) return null;
  const closing = CLOSING[opening];
  const closesAt = closing ? cursor.text.indexOf(closing, cursor.position) : cursor.end;
  const note = takeNoteUntil(cursor, closesAt);
  if (note === null) cursor.position = start;
  else if (closing) cursor.position = closesAt + 1;
  return note;
}

/** The note from here to the end of the line, after a comma; null where it may be a reading. */
export const takeNoteToEnd = (cursor: Cursor): string | null => takeNoteUntil(cursor, cursor.end);

function takeNoteUntil(cursor: Cursor, end: number): string | null {
  if (end < 0 || end > cursor.end) return null;
  const note = cursor.text.slice(cursor.position, end).trim();
  const [first = ''] = note.split(/[\s,]/);
  if (note === '' || OF_READINGS.test(note) || isReservedWord(bare(first))) return null;
  if (/^start$/i.test(note)) return null;
  cursor.position = end;
  return note;
}

const SHORTEST_CHECKED = 4;
const CHECKED_WORDS = [...UNIT_NAMES, ...GROUNDS].filter((word) => word.length >= SHORTEST_CHECKED);
const letters = (word: string) => [...word].sort().join('');

/** A word one slip away from a unit or a ground is asked back rather than taken for a note. */
function looksMisspelt(word: string): boolean {
  const lower = word.toLowerCase();
  if (lower.length < SHORTEST_CHECKED) return false;
  return CHECKED_WORDS.some(
    (meant) =>
      Math.abs(meant.length - lower.length) <= 1 &&
      (editDistance(lower, meant) <= 1 || letters(lower) === letters(meant)),
  );
}

/** The note of a line whose other parts are read: after a `;`, or plain words. */
export function finishWithNote(cursor: Cursor, note: string | undefined): string | undefined {
  cursor.skipSpace();
  if (cursor.atEnd) return note;
  const column = cursor.position;
  const afterComma = cursor.take(/,\s*/y) !== null;
  const words =
    takeMarkedNote(cursor) ?? (afterComma ? takeNoteToEnd(cursor) : takeTrailingNote(cursor));
  cursor.skipSpace();
  if (words === null || !cursor.atEnd) return cursor.expected('line-end', undefined, column);
  return joinedNotes(words, note);
}

/**
 * What was seen, which the line can't do without: the text after the `;`, plain words, or the kind
 * of the thing itself.
 */
export function whatSeen(cursor: Cursor, note: string | undefined, thing?: FeatureKind): string {
  return (
    finishWithNote(cursor, note) ??
    thing ??
    cursor.expected('what-seen', undefined, cursor.text.length)
  );
}
