import { readDegreesText } from './degrees-text';
import { providedGridReader } from './grid-reader';
import type { Fault } from '../../faults/fault';
import { fail, type Result } from '../../units/result';
import { plainDecimal } from '../../units/units';
import { Cursor } from '../cursor';
import { quotedName, readStationName, writeStationName } from '../name';
import type { Position } from '../position';

const FIGURE = String.raw`(?=[-+−.\d]|[ns]\s?\d)`;
/** The last ` at ` before something like a number: what follows must be a position. */
const AT_POSITION = new RegExp(String.raw`(?:^|\s|,)at:?\s+${FIGURE}`, 'gi');
const COMMA_POSITION = new RegExp(String.raw`\s*,\s*${FIGURE}`, 'i');
const BRACKET_POSITION = new RegExp(String.raw`\s*[([]\s*${FIGURE}`, 'i');
const QUOTED_NAME = /^(?:"(?:[^"]|"")*"|“[^”]*”)/;
/** A grid reference begins with its zone and band. */
const GRID = /^\d{1,2}\s*(?:[c-hj-np-x]|north|south)/i;

/** Where the words between name and position begin and end; null where there is no position. */
export function positionIn(body: string): { from: number; to: number } | null {
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

/** The name before a column; null where there is none. */
export function readNameUntil(cursor: Cursor, end: number): string | null {
  const column = cursor.position;
  const part = new Cursor(cursor.text, end);
  part.position = column;
  part.skipSpace();
  if (part.atEnd) return null;
  const name = readStationName(part);
  part.finish();
  return name;
}

/** The place that a text tells by a grid, where what reads grids was loaded. */
function readGrid(text: string): Result<Position, Fault> {
  const reader = providedGridReader();
  if (!reader) return fail({ code: 'model-not-loaded' });
  return reader(text) ?? fail({ code: 'unexpected', found: text, expected: 'place' });
}

/** The position from a column to the end of the line, in degrees; by a grid where that is asked. */
export function readPosition(cursor: Cursor, column: number, allowGrid = false): Position {
  const text = cursor.text.slice(column, cursor.end).trim();
  const bare = /^[^([]*[)\]]$/.test(text) ? text.slice(0, -1) : text;
  const place = allowGrid && GRID.test(bare) ? readGrid(bare) : readDegreesText(bare);
  cursor.position = cursor.end;
  // A typed -0 is 0: JSON could not tell them apart again.
  if (!place.ok) {
    const { fault } = place;
    const isUnread = fault.code === 'unexpected';
    return cursor.refuse(isUnread ? { ...fault, expected: 'position' } : fault, column);
  }
  return { latitude: place.value.latitude + 0, longitude: place.value.longitude + 0 };
}

/** A name as it is written before a position: in quotes where it would be read as one. */
export const writeNameBefore = (name: string): string =>
  positionIn(name) ? quotedName(name) : writeStationName(name);

/** `at LAT LON`, in digits that read back as the same. */
export const writePosition = ({ latitude, longitude }: Position): string =>
  `at ${plainDecimal(latitude)} ${plainDecimal(longitude)}`;
