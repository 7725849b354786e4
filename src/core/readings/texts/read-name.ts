import { isVisible } from '../../units/visible';
import type { Cursor } from '../cursor';
import { isStationName, LONGEST_NAME, NAME_ENDS } from '../name';

/** The rest of the line as a name, refused if it is too long. */
export function readName(cursor: Cursor): string {
  const column = cursor.position;
  const name = cursor.rest();
  if (!isVisible(name)) return cursor.refuse({ code: 'invisible-name' }, column);
  if (name.length <= LONGEST_NAME) return name;
  const found = name.slice(0, 20);
  return cursor.refuse({ code: 'too-long', what: 'name', most: LONGEST_NAME, found }, column);
}

const QUOTED = /"((?:[^"]|"")*)"(?=\s|$|[,(@>–—-])|“([^”]*)”/y;

/** A station's name: in quotes, or to the end of the line or to what can't belong to a name. */
export function readStationName(cursor: Cursor): string {
  cursor.skipSpace();
  if (cursor.atEnd) return cursor.expected('station-name');
  const column = cursor.position;
  const quoted = cursor.take(QUOTED);
  if (quoted) {
    const name = quoted[1]?.replaceAll('""', '"') ?? quoted[2] ?? '';
    return validName(cursor, name.trim(), column);
  }
  const body = cursor.text.slice(column, cursor.end);
  const end = NAME_ENDS.exec(body)?.index ?? body.length;
  const name = body.slice(0, end).trim();
  if (name === '') return cursor.expected('station-name');
  cursor.position = column + end;
  return validName(cursor, name, column);
}

function validName(cursor: Cursor, name: string, column: number): string {
  if (name.length > LONGEST_NAME) {
    const found = name.slice(0, 20);
    cursor.refuse({ code: 'too-long', what: 'name', most: LONGEST_NAME, found }, column);
  }
  if (!isVisible(name)) return cursor.refuse({ code: 'invisible-name' }, column);
  return isStationName(name) ? name : cursor.refuse({ code: 'bad-name', name }, column);
}
