import type { Fault } from '../../faults/fault';
import { fail, type Result } from '../../units/result';
import { Cursor } from '../cursor';
import type { Position } from '../position';
import { readStationName } from '../texts/read-name';
import { readDegreesText } from './degrees-text';
import { providedGridReader } from './grid-reader';

/** A grid reference begins with its zone and band. */
const GRID = /^\d{1,2}\s*(?:[c-hj-np-x]|north|south)/i;

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
