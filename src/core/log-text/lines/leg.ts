import { isStationName, type Leg } from '../../logbook';
import type { North } from '../../north';
import type { Field } from '../../faults';
import { readDistance, readNumber, readTime } from '../amounts';
import { readBearing } from '../bearing';
import type { Cursor } from '../cursor';
import { withNote, type ReadLine } from '../line-kind';

/** Longer lines are not written out again as a suggestion. */
const LONGEST_SHOWN = 200;

const PART = /(back|up|down)(?![a-z])/iy;

/** A station's name to the end of the part that may be read. */
export function readStationName(cursor: Cursor): string {
  cursor.skipSpace();
  if (cursor.atEnd) cursor.expected('station-name');
  const column = cursor.position;
  const name = cursor.rest();
  if (name.length > 200) {
    cursor.refuse({ code: 'too-long', what: 'name', most: 200, found: name.slice(0, 20) }, column);
  }
  if (!isStationName(name)) cursor.refuse({ code: 'bad-name', name }, column);
  return name;
}

function readSlope(cursor: Cursor, word: string): number {
  cursor.skipSpace();
  const start = cursor.position;
  const value = readNumber(cursor, 'slope');
  cursor.take(/[°º]/y);
  cursor.inRange(value, 'slope', 0, 89.9, start);
  return word === 'up' ? value : 0 - value;
}

/** `BEARING DISTANCE [back BEARING] [up DEG | down DEG] [@HH:MM] [> STATION] [; note]`; the parts in any order. */
export function readLeg(cursor: Cursor, note: string | undefined, read: North): ReadLine {
  const columns: Partial<Record<Field, number>> = { whole: cursor.position };
  columns.bearing = cursor.position;
  const bearing = readBearing(cursor, read);
  cursor.skipSpace();
  columns.distance = cursor.position;
  const distance = readDistance(cursor);
  const leg: Leg = { kind: 'leg', bearing, distance };
  for (;;) {
    cursor.skipSpace();
    if (cursor.atEnd) break;
    const column = cursor.position;
    if (cursor.take(/>/y)) {
      cursor.skipSpace();
      columns.to = cursor.position;
      leg.to = readStationName(cursor);
    } else if (cursor.take(/@/y)) {
      if (leg.time !== undefined)
        cursor.refuse({ code: 'part-twice', part: '@', found: '@' }, column);
      leg.time = readTime(cursor);
    } else {
      readPart(cursor, leg, columns, read);
    }
  }
  return { entry: { ...leg, ...withNote(note) }, columns };
}

/** What a leg with something unknown in it most likely meant: a quadrant written apart, or a note without its `;`. */
function nearestLeg(cursor: Cursor, column: number, leg: Leg): string[] | undefined {
  const after = cursor.text.slice(column).trim();
  if (after.length > LONGEST_SHOWN) return undefined;
  const apart = /^([ew])(?:\s+(.*))?$/i.exec(after);
  if (apart && leg.bearing.unit === 'wind' && /^[NS]$/.test(leg.bearing.wind)) {
    const quadrant = `${leg.bearing.wind}${leg.distance.value}${apart[1]!.toUpperCase()}`;
    return [`${quadrant} ${apart[2] ?? ''}`.trim()];
  }
  const before = cursor.text.slice(0, column).trim();
  return [`${before} ; ${after.replace(/\s*;\s*/, ', ')}`];
}

function readPart(
  cursor: Cursor,
  leg: Leg,
  columns: Partial<Record<Field, number>>,
  read: North,
): void {
  const column = cursor.position;
  const word = cursor.take(PART)?.[1]?.toLowerCase();
  if (word === undefined) {
    cursor.expected('leg-part', nearestLeg(cursor, column, leg));
  }
  const twice = word === 'back' ? leg.back !== undefined : leg.slopeDegrees !== undefined;
  if (twice) cursor.refuse({ code: 'part-twice', part: word!, found: word! }, column);
  if (word === 'back') {
    cursor.skipSpace();
    columns.back = cursor.position;
    leg.back = readBearing(cursor, read, 'back-bearing');
  } else {
    leg.slopeDegrees = readSlope(cursor, word!);
  }
}
