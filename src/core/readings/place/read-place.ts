import type { Fault } from '../../faults/fault';
import { fail, ok, type Result } from '../../units/result';
import { Cursor } from '../cursor';
import { readStationName } from '../texts/read-name';
import { readDegreesText } from './degrees-text';
import { GRID_TEXT, type GridReader, type TypedPlace } from './grid-reader';

const GRID = new RegExp(`^${GRID_TEXT}`, 'i');

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

/** The place that a text gives by a grid, where what reads grids was passed in. */
function readByGrid(text: string, grids: GridReader | null): Result<TypedPlace, Fault> {
  if (!grids) return fail({ code: 'model-not-loaded' });
  return grids(text) ?? fail({ code: 'unexpected', found: text, expected: 'place' });
}

function readAny(text: string, grids: GridReader | null): Result<TypedPlace, Fault> {
  if (GRID.test(text)) return readByGrid(text, grids);
  const read = readDegreesText(text);
  return read.ok ? ok({ position: read.value, withinMetres: undefined }) : read;
}

/** The place from a column to the end of the line, in degrees or by a grid, and how finely. */
export function readPosition(cursor: Cursor, column: number, grids: GridReader | null): TypedPlace {
  const text = cursor.text.slice(column, cursor.end).trim();
  const bare = /^[^([]*[)\]]$/.test(text) ? text.slice(0, -1) : text;
  const place = readAny(bare, grids);
  cursor.position = cursor.end;
  // A typed -0 is 0: JSON could not distinguish them.
  if (!place.ok) {
    const { fault } = place;
    const isUnread = fault.code === 'unexpected';
    return cursor.refuse(isUnread ? { ...fault, expected: 'position' } : fault, column);
  }
  const { position, withinMetres } = place.value;
  const exact = { latitude: position.latitude + 0, longitude: position.longitude + 0 };
  return { position: exact, withinMetres };
}
