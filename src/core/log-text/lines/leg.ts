import { GROUNDS, isGroundName, isStationName, LARGEST_READING, type Leg } from '../../logbook';
import type { North } from '../../north';
import type { Field } from '../../faults';
import { readDistance, readNumber, readTime } from '../amounts';
import { nearestName } from '../../suggest';
import { readBearing } from '../bearing';
import type { Cursor } from '../cursor';
import { withNote, type ReadLine } from '../line-kind';

/** Longer lines are not written out again as a suggestion. */
const LONGEST_SHOWN = 200;

const PART = /(back|up|down|on)(?![a-z])/iy;

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

/** A slope in degrees (`up 12`) or as rise over run (`up 1/5`); down is negative. */
function readSlope(cursor: Cursor, word: string): Pick<Leg, 'slopeDegrees' | 'slopeRatio'> {
  cursor.skipSpace();
  const start = cursor.position;
  const sign = word === 'up' ? 1 : -1;
  const value = readNumber(cursor, 'slope');
  if (cursor.take(/\//y)) {
    const runAt = cursor.position;
    const run = readNumber(cursor, 'slope');
    cursor.inRange(value, 'rise', 0, LARGEST_READING, start);
    cursor.inRange(run, 'rise', Number.MIN_VALUE, LARGEST_READING, runAt);
    return { slopeRatio: { rise: 0 + sign * value, run } };
  }
  cursor.take(/[°º]/y);
  cursor.inRange(value, 'slope', 0, 89.9, start);
  return { slopeDegrees: word === 'up' ? value : 0 - value };
}

const BARE_GROUND = new RegExp(`(${GROUNDS.join('|')})(?![a-z-])`, 'iy');
const GROUND_WORD = /[a-z][a-z-]*(?=\s|$|;)/iy;

/** The name of a ground, after `on` in a leg or after `pace`. */
export function readGround(cursor: Cursor): string {
  cursor.skipSpace();
  const column = cursor.position;
  const name = cursor.take(GROUND_WORD)?.[0].toLowerCase();
  if (name !== undefined && isGroundName(name)) return name;
  cursor.position = column;
  return cursor.expected('ground');
}

/** `BEARING DISTANCE [GROUND | on GROUND] [back BEARING] [up SLOPE | down SLOPE] [@HH:MM] [> STATION] [; note]`; the parts in any order. */
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
  const [first = '', ...rest] = after.split(/(?=\s)/);
  const ground = first.length > 2 ? nearestName(first, GROUNDS) : undefined;
  if (ground !== undefined) return [`${before} ${ground}${rest.join('')}`];
  return [`${before} ; ${after.replace(/\s*;\s*/, ', ')}`];
}

function readPart(
  cursor: Cursor,
  leg: Leg,
  columns: Partial<Record<Field, number>>,
  read: North,
): void {
  const column = cursor.position;
  const bare = cursor.take(BARE_GROUND)?.[1]?.toLowerCase();
  const word = bare ?? cursor.take(PART)?.[1]?.toLowerCase();
  if (word === undefined) {
    return cursor.expected('leg-part', nearestLeg(cursor, column, leg));
  }
  const twice =
    word === 'back'
      ? leg.back !== undefined
      : word === 'up' || word === 'down'
        ? leg.slopeDegrees !== undefined || leg.slopeRatio !== undefined
        : leg.ground !== undefined;
  if (twice) cursor.refuse({ code: 'part-twice', part: word, found: word }, column);
  if (word === 'back') {
    cursor.skipSpace();
    columns.back = cursor.position;
    leg.back = readBearing(cursor, read, 'back-bearing');
  } else if (word === 'up' || word === 'down') {
    Object.assign(leg, readSlope(cursor, word));
  } else {
    leg.ground = bare ?? readGround(cursor);
  }
}
