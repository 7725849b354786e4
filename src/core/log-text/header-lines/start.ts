import { withNote } from '../../entries/entry-kind';
import { finishWithNote } from '../../entries/trailing-note';
import { readDegreesText } from '../../place/degrees-text';
import { Cursor } from '../../readings/cursor';
import { isStartName, quotedName, readStationName, writeStationName } from '../../readings/name';
import type { Position } from '../../readings/position';
import { plainDecimal } from '../../units/units';
import type { HeaderLine } from './header-line';

const FIGURE = String.raw`(?=[-+−.\d]|[ns]\s?\d)`;
/** The last ` at ` before something like a number: what follows must be a position. */
const AT_POSITION = new RegExp(String.raw`(?:^|\s|,)at:?\s+${FIGURE}`, 'gi');
const COMMA_POSITION = new RegExp(String.raw`\s*,\s*${FIGURE}`, 'i');
const BRACKET_POSITION = new RegExp(String.raw`\s*[([]\s*${FIGURE}`, 'i');
const QUOTED_NAME = /^(?:"(?:[^"]|"")*"|“[^”]*”)/;
const UNNAMED = 'Start';

/**
 * `start NAME [at LAT LON]`, the position in any notation of degrees. Grids are read where a place
 * has a field of its own: the projections are too heavy to be loaded with every log.
 */
export const startLine: HeaderLine = {
  keyword: 'start',
  once: 'start',
  takesWholeLine: false,
  read(cursor, note) {
    const before = positionAt(cursor.text.slice(cursor.position, cursor.end));
    if (!before) {
      const name = readStationName(cursor);
      return { start: { name, ...withNote(finishWithNote(cursor, note)) } };
    }
    const placeAt = cursor.position + before.to;
    const name = readNameUntil(cursor, cursor.position + before.from);
    return { start: { name, position: readPosition(cursor, placeAt), ...withNote(note) } };
  },
  write({ start: { name, position, note } }) {
    const written = positionAt(name) ? quotedName(name) : writeStationName(name);
    if (!position) return { text: written, note };
    const { latitude, longitude } = position;
    return { text: `${written} at ${plainDecimal(latitude)} ${plainDecimal(longitude)}`, note };
  },
};

/** Where the words between name and position begin and end; null where there is no position. */
function positionAt(body: string): { from: number; to: number } | null {
  const quoted = QUOTED_NAME.exec(body)?.[0].length ?? 0;
  const rest = body.slice(quoted);
  const found =
    [...rest.matchAll(AT_POSITION)].at(-1) ??
    BRACKET_POSITION.exec(rest) ??
    COMMA_POSITION.exec(rest);
  if (!found) return null;
  const from = quoted + found.index;
  return { from, to: from + found[0].length };
}

/** The start's name, which ends at a column; `Start` where none stands. */
function readNameUntil(cursor: Cursor, end: number): string {
  const column = cursor.position;
  const part = new Cursor(cursor.text, end);
  part.position = column;
  part.skipSpace();
  if (part.atEnd) return UNNAMED;
  const name = readStationName(part);
  part.finish();
  return isStartName(name) ? name : cursor.refuse({ code: 'bad-name', name }, column);
}

function readPosition(cursor: Cursor, column: number): Position {
  const text = cursor.text.slice(column, cursor.end).trim();
  const place = readDegreesText(/^[^([]*[)\]]$/.test(text) ? text.slice(0, -1) : text);
  cursor.position = cursor.end;
  // A typed -0 is 0: JSON could not tell them apart again.
  if (!place.ok) {
    const { fault } = place;
    const isUnread = fault.code === 'unexpected';
    return cursor.refuse(isUnread ? { ...fault, expected: 'position' } : fault, column);
  }
  return { latitude: place.value.latitude + 0, longitude: place.value.longitude + 0 };
}
