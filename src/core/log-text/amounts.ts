import { LARGEST_READING, type AngleReading, type DistanceReading } from '../logbook';
import type { Expected, Ranged } from '../faults';
import type { Cursor } from './cursor';

const NUMBER = /\d+(?:\.\d+)?/y;
const SIGNED = /[-+]?\d+(?:\.\d+)?/y;
const DECIMAL_COMMA = /(\d+),(\d+)/y;
const LETTERS = /[a-z]+/iy;

/** The smallest amount above zero that counts as one. */
const ABOVE_ZERO = Number.MIN_VALUE;

/** A number without a sign; a comma for the point is refused with the nearest reading. */
export function readNumber(cursor: Cursor, expected: Expected, signed = false): number {
  const start = cursor.position;
  const comma = cursor.take(DECIMAL_COMMA);
  if (comma) {
    cursor.position = start;
    cursor.expected(expected, [`${comma[1]}.${comma[2]}`]);
  }
  const found = cursor.take(signed ? SIGNED : NUMBER);
  if (!found) cursor.expected(expected);
  return Number(found![0]);
}

const UNIT_WORDS: Readonly<Record<string, DistanceReading['unit']>> = {
  p: 'paces',
  pace: 'paces',
  paces: 'paces',
  s: 'steps',
  step: 'steps',
  steps: 'steps',
  m: 'metres',
  metre: 'metres',
  metres: 'metres',
  meter: 'metres',
  meters: 'metres',
  km: 'kilometres',
  ft: 'feet',
  foot: 'feet',
  feet: 'feet',
  yd: 'yards',
  yard: 'yards',
  yards: 'yards',
  mi: 'miles',
  mile: 'miles',
  miles: 'miles',
  min: 'minutes',
};

const AT_SPEED = /@(\d+(?:\.\d+)?)\s*(kmh|km\/h)/iy;
const PLAIN_NUMBER = /^\d+(\.\d+)?$/;

/** A distance: `65p`, `130s`, `100m`, `0.5km`, `328ft`, `109yd`, `0.3mi`, `4min@3kmh`; a number alone is paces. */
export function readDistance(cursor: Cursor): DistanceReading {
  const start = cursor.position;
  const value = readNumber(cursor, 'distance');
  cursor.inRange(value, 'distance', ABOVE_ZERO, LARGEST_READING, start);
  const afterNumber = cursor.position;
  cursor.skipSpace();
  const glued = cursor.position === afterNumber;
  const unitAt = cursor.position;
  const letters = cursor.take(LETTERS);
  const unit = letters ? UNIT_WORDS[letters[0].toLowerCase()] : undefined;
  if (letters && !unit) {
    cursor.position = unitAt;
    if (glued) cursor.expected('distance-unit');
    cursor.position = afterNumber;
    return { unit: 'paces', value };
  }
  if (!unit) {
    cursor.position = afterNumber;
    const next = cursor.text[afterNumber];
    if (next !== undefined && afterNumber < cursor.end && !/[\s>@]/.test(next)) {
      cursor.expected('distance-unit');
    }
    return { unit: 'paces', value };
  }
  if (unit !== 'minutes') return { unit, value };
  const speedAt = cursor.position;
  const speed = cursor.take(AT_SPEED);
  if (!speed) {
    const minutes = cursor.text.slice(start, speedAt);
    cursor.expected('speed', [`${minutes}@3kmh`]);
  }
  const kilometresPerHour = Number(speed![1]);
  cursor.inRange(kilometresPerHour, 'speed', ABOVE_ZERO, LARGEST_READING, speedAt);
  return { unit, value, kilometresPerHour };
}

const MINUTES = /\s*(\d+(?:\.\d+)?)\s*['′]/y;
const BARE_MINUTES = /\s+(\d+(?:\.\d+)?)(?=\s*[ew](?:\s|$|;))/iy;
const EAST_OR_WEST = /\s*([ew])(?![a-z])/iy;
const DEGREE_SIGN = /\s*[°º]/y;

/** An angle with its letter: `19.1 W`, `2°18' W`, `2 18 W`, `9' E`. Without the letter it is refused. */
export function readAngle(cursor: Cursor, what: Expected = 'angle'): AngleReading {
  const start = cursor.position;
  if (/[-+]/.test(cursor.text[start] ?? '') && start < cursor.end) {
    const number = /^[-+](\d+(?:\.\d+)?)/.exec(cursor.text.slice(start));
    const letter = cursor.text[start] === '-' ? 'W' : 'E';
    cursor.expected(what, number ? [`${number[1]} ${letter}`] : undefined);
  }
  const first = readNumber(cursor, what);
  const onlyMinutes = cursor.take(/\s*['′]/y) !== null;
  const degrees = onlyMinutes ? 0 : first;
  let minutes: number | undefined = onlyMinutes ? first : undefined;
  if (!onlyMinutes) {
    cursor.take(DEGREE_SIGN);
    const found = cursor.take(MINUTES) ?? cursor.take(BARE_MINUTES);
    if (found) minutes = Number(found[1]);
  }
  cursor.inRange(degrees, 'declination', 0, 180, start);
  if (minutes !== undefined) cursor.inRange(minutes, 'minutes-of-arc', 0, 59.999999999, start);
  const letter = cursor.take(EAST_OR_WEST);
  if (!letter) {
    const written = cursor.text.slice(start, cursor.position).trim();
    const next = cursor.text.slice(cursor.position, cursor.end);
    cursor.position += next.length - next.trimStart().length;
    const bare = PLAIN_NUMBER.test(written) || /['′°º]/.test(written);
    cursor.expected(what, bare ? [`${written} E`, `${written} W`] : undefined);
  }
  const toward = letter![1]!.toUpperCase() as 'E' | 'W';
  return minutes === undefined ? { degrees, toward } : { degrees, minutes, toward };
}

const CLOCK = /(\d{1,2}):(\d{2})(?!\d)/y;

/** A time of day as HH:MM, 00:00 to 23:59. */
export function readTime(cursor: Cursor): string {
  const start = cursor.position;
  const found = cursor.take(CLOCK);
  if (!found || Number(found[1]) > 23 || Number(found[2]) > 59) {
    cursor.position = start;
    cursor.expected('time');
  }
  return `${found![1]!.padStart(2, '0')}:${found![2]}`;
}

/** A length in metres, with or without the unit. */
export function readMetres(cursor: Cursor, what: Ranged = 'metres'): number {
  const start = cursor.position;
  const value = readNumber(cursor, 'metres');
  cursor.inRange(value, what, 0, LARGEST_READING, start);
  cursor.take(/m(?![a-z])/iy);
  return value;
}
