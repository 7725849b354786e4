import { ABOVE_ZERO } from '../units/ranges';
import { METRES_PER_MILE } from '../units/units';
import type { Cursor } from './cursor';
import type { DistanceReading, LengthReading, LengthUnit } from './distance';
import { readAmount } from './number';
import { LARGEST_READING, roundedReading } from './shape';
import { UNIT_OF_WORD, type WrittenUnit } from './unit-words';

/** A bead on the cord is drawn for each hundred metres. */
const METRES_PER_BEAD = 100;

/** A smaller unit that may follow a larger one, and how many make one: `25 ft 6 in`. */
const SMALLER: Partial<Record<WrittenUnit, Partial<Record<WrittenUnit, number>>>> = {
  kilometres: { metres: 1000 },
  miles: { chains: 80, yards: 1760, feet: 5280 },
  chains: { links: 100, feet: 66 },
  yards: { feet: 3, inches: 36 },
  feet: { inches: 12 },
  hours: { minutes: 60 },
};

/** Before a distance that was estimated and not counted. */
const ABOUT = /(?:~|≈|(?:about|approx(?:imately)?|around|roughly|circa|ca)(?![a-z])\.?)\s*/iy;
const LETTERS = /[a-z]+/iy;
/** Two words for one unit: a double pace is a pace, a single pace is a step. */
const DOUBLE_OR_SINGLE = /(double|dbl|single)s?[\s-]+(?:paces?|steps?|pcs?)(?![a-z])\.?/iy;
const FOOT_SIGN = /['’′](?!['’′])/y;
const INCH_SIGN = /["”″]|['’′]{2}/y;
const ABBREVIATED = /\.(?=\s|$|[,;>@])/y;
const AT_SPEED = /\s*(?:@|at(?![a-z]))\s*(?=\d)/iy;
const SPEED_UNIT = /\s*(?:(kmh|km\/h|kph|km\s?an?\s?hour|km per hour)|(mph))(?![a-z])/iy;
const BETWEEN = /\s*,?\s*(?:and\s+)?(?=[\d½⅓⅔¼¾⅛⅜⅝⅞])/iy;
const BOUNDARY = /[\s>@,;:()[\]–—→-]|$/y;

/**
 * A distance: `65p`, `130s`, `100m`, `0.5km`, `328ft`, `109yd`, `0.3mi`, `5.5ch`,
 * `550lk`, `4min@3kmh`, the unit apart or in full, two units of one kind (`25 ft 6 in`); a
 * number alone is paces. `about` or `~` before it says that it was estimated.
 */
export function readDistance(cursor: Cursor): DistanceReading {
  const about = cursor.take(ABOUT) ? { about: true as const } : {};
  const start = cursor.position;
  const { value, unit } = readSum(cursor);
  cursor.inRange(value, 'distance', ABOVE_ZERO, LARGEST_READING, start);
  if (unit === 'inches') return cursor.expected('distance-unit', undefined, start);
  if (unit === 'beads') return { unit: 'metres', value: value * METRES_PER_BEAD, ...about };
  if (unit !== 'minutes' && unit !== 'hours') return { unit: unit ?? 'paces', value, ...about };
  const kilometresPerHour = readSpeed(cursor);
  const minutes = unit === 'hours' ? roundedReading(value * 60) : value;
  return { unit: 'minutes', value: minutes, kilometresPerHour, ...about };
}

/** A count or a length, or 0; a bare number is in the unit given. */
export function readLength(cursor: Cursor, bare: LengthUnit): LengthReading {
  const about = cursor.take(ABOUT) ? { about: true as const } : {};
  const start = cursor.position;
  const { value, unit } = readSum(cursor);
  cursor.inRange(value, 'distance', 0, LARGEST_READING, start);
  if (unit === 'minutes' || unit === 'hours' || unit === 'inches') {
    return cursor.expected('distance-unit', undefined, start);
  }
  if (unit === 'beads') return { unit: 'metres', value: value * METRES_PER_BEAD, ...about };
  return { unit: unit ?? bare, value, ...about };
}

/** A number with its unit, and a second one in a smaller unit added to it. */
function readSum(cursor: Cursor): { value: number; unit: WrittenUnit | undefined } {
  const value = readAmount(cursor, 'distance');
  const unit = readUnit(cursor);
  const smaller = unit && SMALLER[unit];
  const before = cursor.position;
  if (!smaller || !cursor.take(BETWEEN)) return { value, unit };
  const part = readAmount(cursor, 'distance');
  const partUnit = readUnit(cursor);
  const makeOne = partUnit && smaller[partUnit];
  if (makeOne === undefined) {
    cursor.position = before;
    return { value, unit };
  }
  // Without the noise of the division, and fine enough for hours to become whole minutes.
  return { value: Math.round((value + part / makeOne) * 1e9) / 1e9, unit };
}

/** The unit after a number; undefined where none is written. */
function readUnit(cursor: Cursor): WrittenUnit | undefined {
  const afterNumber = cursor.position;
  cursor.skipSpace();
  const unitAt = cursor.position;
  const first = cursor.next;
  if (unitAt === afterNumber && cursor.take(INCH_SIGN)) return 'inches';
  if (unitAt === afterNumber && cursor.take(FOOT_SIGN)) return 'feet';
  const two = /[ds]/i.test(first) && cursor.take(DOUBLE_OR_SINGLE)?.[1]?.toLowerCase();
  if (two) return two === 'single' ? 'steps' : 'paces';
  const letters = cursor.take(LETTERS)?.[0].toLowerCase();
  const unit = letters === undefined ? undefined : UNIT_OF_WORD.get(letters);
  if (unit) {
    cursor.take(ABBREVIATED);
    return unit;
  }
  const glued = unitAt === afterNumber;
  if (letters && glued) return cursor.expected('distance-unit', undefined, unitAt);
  cursor.position = afterNumber;
  if (!letters && !cursor.atEnd && !cursor.sees(BOUNDARY)) cursor.expected('distance-unit');
  return undefined;
}

const KILOMETRES_PER_MILE = METRES_PER_MILE / 1000;

/** `@3kmh` after the minutes: without its unit a speed is not guessed. */
function readSpeed(cursor: Cursor): number {
  if (!cursor.take(AT_SPEED)) return cursor.expected('speed');
  return readSpeedFigure(cursor);
}

/** A speed with its unit, in km/h. */
export function readSpeedFigure(cursor: Cursor): number {
  const speedAt = cursor.position;
  const speed = readAmount(cursor, 'speed');
  const [unit, , miles] = cursor.take(SPEED_UNIT) ?? [];
  if (unit === undefined) return cursor.expected('speed', undefined, speedAt);
  cursor.inRange(speed, 'speed', ABOVE_ZERO, LARGEST_READING, speedAt);
  return miles === undefined ? speed : roundedReading(speed * KILOMETRES_PER_MILE);
}
