import type { Expected } from '../faults/fault';
import {
  COMPASS_POINTS,
  compassPointBearing,
  compassPointTolerance,
  normalised,
  signedDifference,
  type CompassPoint,
} from '../units/angle';
import { NORTH_LETTERS, NORTHS, type North } from '../units/bearing';
import { MOST_MINUTES } from '../units/ranges';
import type { Degrees } from '../units/units';
import { bearingDegrees, CIRCLE, type BearingReading } from './bearing';
import type { Cursor } from './cursor';
import { readNumber } from './number';

const PREFIX = /(?:bearing|brg|azimuth|az|heading|hdg)\.?\s*[:=]?\s*/iy;
const DUE = /due\s+(?=[nesw])/iy;
const N_OR_S = String.raw`(n|s|north|south)`;
const E_OR_W = String.raw`(e|w|east|west)`;
/** A degree sign, and minutes of arc only after one: `220 30'` is thirty feet. */
const SIGN_AND_MINUTES =
  String.raw`(?:\s*(?:[°º]|deg(?:ree)?s?(?![a-z])\.?)` +
  String.raw`(?:\s*(\d{1,2}(?:\.\d+)?)\s*(?:['’′]|min(?:ute)?s?(?![a-z])\.?))?)?`;
const NUMBER = String.raw`(\d+(?:\.\d+)?)`;
const QUADRANT = new RegExp(
  String.raw`${N_OR_S}\s*${NUMBER}${SIGN_AND_MINUTES}\s*${E_OR_W}(?=[mtg]?(?![a-z]))`,
  'iy',
);
const DEGREES = new RegExp(String.raw`${NUMBER}${SIGN_AND_MINUTES}`, 'iy');
/** One decimal after a comma is a decimal only if a distance of its own follows. */
const COMMA_DEGREES = /(\d{1,3}),(\d)(?=\s*[°º]|\s+[\d.½⅓⅔¼¾⅛⅜⅝⅞])/y;
const HALF = /(\d{1,3})½/y;
const UNIT = /\s?(mils?|gons?|grads?)(?=[mtg]?(?![a-z]))/iy;
/** A small g may be gon or grid north: it is asked back. A capital letter is a north. */
const SMALL_G = /\s?g(?![a-z])/y;

/** Nearly every bearing: whole or decimal degrees, and a distance after a space. */
const PLAIN_DEGREES = /\d+(?:\.\d+)?(?= +\d)/y;

/** Between a compass point and what follows. */
const AFTER_POINT = String.raw`(?=[mtg]?(?:[\s;,:/>@()\[\]–—-]|$))`;
const COMPASS_POINT = new RegExp(String.raw`([nesw]{1,3})${AFTER_POINT}`, 'iy');
const CARDINAL = String.raw`(?:north|south|east|west)`;
const COMPASS_WORDS = new RegExp(
  String.raw`(${CARDINAL}(?:[\s-]?${CARDINAL}){0,2})(?![a-z])`,
  'iy',
);
const NORTH_LETTER = /([mtg])(?![a-z])/iy;
const SPACED_NORTH_LETTER = /\s+([mtg])(?=[\s;,:/>@–—-]|$)/iy;
const NORTH_WORD = /\s*\(?(magnetic|mag|true|grid)(?![a-z])\.?\)?/iy;

/** A reading that is a number: of degrees, mils or gon. */
type NumberReading = Extract<BearingReading, { word?: CompassPoint; value: number }> & {
  unit: keyof typeof CIRCLE;
};

/** What may stand right after a bearing. */
const BOUNDARY = /[\s>@,:/;()[\]–—→-]/y;

const compassPoint = (letters = ''): CompassPoint | undefined =>
  COMPASS_POINTS.find((point) => point === letters.toUpperCase());

/** North and east in words as letters: `north-northeast` is NNE. */
const initials = (words: string): string =>
  [...words.matchAll(new RegExp(CARDINAL, 'gi'))].map(([word]) => word[0]).join('');

/**
 * A bearing: `220`, `220.5`, `220°30'`, `220 deg`, `S40W`, `N 40° E`, `SSW`, `northeast`,
 * `3911mil`, `244gon`, after `bearing` or `az` if one likes, with an optional letter (M, T, G) or
 * word for its north; without it the north is `read`. A compass point after a number must agree.
 */
export function readBearing(
  cursor: Cursor,
  read: North,
  expected: Expected = 'bearing',
): BearingReading {
  const plain = cursor.take(PLAIN_DEGREES);
  if (plain) return plainReading(cursor, plain[0], read);
  cursor.take(PREFIX);
  cursor.take(DUE);
  const start = cursor.position;
  const quadrant = cursor.take(QUADRANT);
  if (quadrant) return quadrantReading(cursor, quadrant, read, start);
  const letters = takeLetters(cursor);
  if (letters === undefined) return readNumberBearing(cursor, read, expected);
  const wind = compassPoint(letters);
  if (!wind) return cursor.expected(expected, undefined, start);
  return { unit: 'wind', wind, north: readNorth(cursor, read) };
}

const BY = /\s+by\s+(?=[nesw])/iy;

/** `east by southeast`: the point midway between two of eight that are side by side. */
function pointBetween(cursor: Cursor, point: CompassPoint): CompassPoint {
  const start = cursor.position;
  const other = cursor.take(BY) && takeCompassPoint(cursor);
  const turn = other ? signedDifference(compassPointBearing(point), compassPointBearing(other)) : 0;
  const between = normalised(compassPointBearing(point) + turn / 2);
  const found = COMPASS_POINTS.find((each) => compassPointBearing(each) === between);
  if (Math.abs(turn) === EIGHTH && found) return found;
  cursor.position = start;
  return point;
}
const EIGHTH: Degrees = 45;

/** The letters of a compass point that is written here in letters or in words. */
function takeLetters(cursor: Cursor): string | undefined {
  const words = cursor.take(COMPASS_WORDS)?.[1];
  return words === undefined ? cursor.take(COMPASS_POINT)?.[1] : initials(words);
}

/** A compass point in letters or words; undefined, and nothing taken, where there is none. */
export function takeCompassPoint(cursor: Cursor): CompassPoint | undefined {
  const start = cursor.position;
  const point = compassPoint(takeLetters(cursor));
  if (point === undefined) cursor.position = start;
  return point;
}

function plainReading(cursor: Cursor, digits: string, north: North): BearingReading {
  const start = cursor.position - digits.length;
  const value = cursor.inRange(Number(digits), 'bearing', 0, CIRCLE.degrees, start);
  return { unit: 'degrees', value, north };
}

function quadrantReading(
  cursor: Cursor,
  [, from = '', degrees, minutes, toward = '']: RegExpExecArray,
  read: North,
  start: number,
): BearingReading {
  const value = withMinutes(cursor, Number(degrees), minutes, start);
  return {
    unit: 'quadrant',
    from: /^n/i.test(from) ? 'N' : 'S',
    value: cursor.inRange(value, 'quadrant', 0, 90, start),
    toward: /^e/i.test(toward) ? 'E' : 'W',
    north: readNorth(cursor, read),
  };
}

/** Degrees and minutes as degrees, to 0.3 seconds of arc. */
function withMinutes(cursor: Cursor, degrees: number, minutes = '', column: number): Degrees {
  if (minutes === '') return degrees;
  const of60 = cursor.inRange(Number(minutes), 'minutes-of-arc', 0, MOST_MINUTES, column);
  return Math.round((degrees + of60 / 60) * 1e4) / 1e4;
}

/** The letter or word of a north, glued or apart; `read` where there is none. */
function readNorth(cursor: Cursor, read: North): North {
  const found = (cursor.take(NORTH_LETTER) ??
    cursor.take(SPACED_NORTH_LETTER) ??
    cursor.take(NORTH_WORD))?.[1];
  const letter = found?.charAt(0).toUpperCase();
  return NORTHS.find((north) => NORTH_LETTERS[north] === letter) ?? read;
}

/** A number of degrees with its minutes, or with a decimal comma or a half. */
function readDegrees(cursor: Cursor, expected: Expected): Degrees {
  const start = cursor.position;
  const comma = cursor.take(COMMA_DEGREES);
  if (comma) {
    cursor.take(/\s*[°º]/y);
    return Number(`${comma[1]}.${comma[2]}`);
  }
  const half = cursor.take(HALF);
  if (half) return Number(half[1]) + 0.5;
  const found = cursor.take(DEGREES);
  if (!found) return readNumber(cursor, expected);
  return withMinutes(cursor, Number(found[1]), found[2], start);
}

function readNumberBearing(cursor: Cursor, read: North, expected: Expected): BearingReading {
  const start = cursor.position;
  const value = readDegrees(cursor, expected);
  const afterNumber = cursor.position;
  if (cursor.take(SMALL_G)) {
    const digits = cursor.text.slice(start, afterNumber);
    cursor.refuse({ code: 'gon-or-grid', readings: [`${digits}gon`, `${digits}G`] }, start);
  }
  const unitWord = cursor.take(UNIT)?.[1]?.toLowerCase();
  const unit = unitWord === undefined ? 'degrees' : unitWord.startsWith('g') ? 'gon' : 'mils';
  cursor.inRange(value, unit === 'degrees' ? 'bearing' : unit, 0, CIRCLE[unit], start);
  const before = readNorth(cursor, read);
  const wordAt = cursor.position;
  cursor.skipSpace();
  const letters = takeLetters(cursor);
  if (letters === undefined) {
    cursor.position = wordAt;
    const signed = /[°º]/.test(cursor.text.charAt(cursor.position - 1));
    if (!cursor.atEnd && !signed && !cursor.sees(BOUNDARY)) cursor.expected(expected);
    return { unit, value, north: before };
  }
  const written = compassPoint(letters);
  const point = written && pointBetween(cursor, written);
  if (!point) {
    cursor.position = wordAt;
    cursor.skipSpace();
    return cursor.expected('distance');
  }
  const north = before === read ? readNorth(cursor, read) : before;
  const reading: NumberReading = { unit, value, north };
  refuseContradiction(cursor, reading, point, [start, wordAt]);
  return { ...reading, word: point };
}

/** Refuses a compass point that contradicts its number, with every reading the two could mean. */
function refuseContradiction(
  cursor: Cursor,
  reading: NumberReading,
  word: CompassPoint,
  [start, end]: readonly [number, number],
): void {
  const degrees = bearingDegrees(reading);
  const off = Math.abs(signedDifference(compassPointBearing(word), degrees));
  if (off <= compassPointTolerance(word)) return;
  const readings = possibleReadings(reading, word, cursor.text.slice(start, end).trim());
  const fault = { code: 'word-contradicts-number', degrees, word, readings } as const;
  // The mark is under the word; what is mended begins at the number.
  cursor.refuse(fault, end + cursor.text.slice(end).search(/\S/), start);
}

/**
 * A number that a compass point contradicts, as it was written: alone, or a quadrant on that side.
 */
function possibleReadings(reading: NumberReading, word: CompassPoint, number: string): string[] {
  // In plain figures, so that what is offered can be read again whatever stood beside them.
  const plain = number.replace(/\s*deg(?:ree)?s?\.?$/i, '');
  const alone = /^\d{1,3}$/.test(plain) ? plain.padStart(3, '0') : plain;
  if (reading.unit !== 'degrees' || reading.value > 90) return [alone];
  const firsts = word.includes('S') ? ['S'] : word.includes('N') ? ['N'] : ['N', 'S'];
  const lasts = word.includes('E') ? ['E'] : word.includes('W') ? ['W'] : ['E', 'W'];
  return [alone, ...firsts.flatMap((first) => lasts.map((last) => first + plain + last))];
}
