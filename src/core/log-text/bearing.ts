import { bearingDegrees } from '../reading';
import {
  nearestEighth,
  signedDifference,
  threeDigits,
  windBearing,
  WINDS,
  wordTolerance,
  type Wind,
} from '../angle';
import type { Expected } from '../faults';
import type { BearingReading } from '../logbook';
import type { North } from '../north';
import { readNumber } from './amounts';
import type { Cursor } from './cursor';

const NORTH_OF_LETTER: Readonly<Record<string, North>> = { M: 'magnetic', T: 'true', G: 'grid' };
const QUADRANT = /([ns])(\d+(?:\.\d+)?)\s?°?([ew])/iy;
const WIND = /([nesw]{1,3})(?=[mtg]?(?:\s|$|;|>|@))/iy;
const NORTH_LETTER = /([mtg])(?![a-z])/iy;
const SPACED_NORTH_LETTER = /\s+([mtg])(?=\s|$|;)/iy;
const WORD = /\s+([nesw]{1,3})(?=\s|$|;)/iy;
const UNIT = /\s?(mils?|gon)(?=[mtg]?(?![a-z]))/iy;

const asWind = (letters: string): Wind | undefined =>
  WINDS.find((wind) => wind === letters.toUpperCase());

function readNorth(cursor: Cursor, read: North, pattern: RegExp): North {
  const found = cursor.take(pattern);
  return found ? NORTH_OF_LETTER[found[1]!.toUpperCase()]! : read;
}

/**
 * A bearing: `220`, `220.5`, `S40W`, `SSW`, `3911mil`, `244gon`, with an optional last letter M, T or G for
 * its north; without it, it is from `read`. A compass word after a number must agree with it.
 */
export function readBearing(
  cursor: Cursor,
  read: North,
  expected: Expected = 'bearing',
): BearingReading {
  const start = cursor.position;
  const quadrant = cursor.take(QUADRANT);
  if (quadrant) {
    const value = cursor.inRange(Number(quadrant[2]), 'quadrant', 0, 90, start);
    const from = quadrant[1]!.toUpperCase() as 'N' | 'S';
    const toward = quadrant[3]!.toUpperCase() as 'E' | 'W';
    return { unit: 'quadrant', from, value, toward, north: readNorth(cursor, read, NORTH_LETTER) };
  }
  const letters = cursor.take(WIND);
  if (letters) {
    const wind = asWind(letters[1]!);
    if (!wind) {
      cursor.position = start;
      cursor.expected(expected);
    }
    return { unit: 'wind', wind: wind!, north: readNorth(cursor, read, NORTH_LETTER) };
  }
  return readNumberBearing(cursor, read, expected, start);
}

const MOST = { degrees: 360, mils: 6400, gon: 400 } as const;

function readNumberBearing(
  cursor: Cursor,
  read: North,
  expected: Expected,
  start: number,
): BearingReading {
  const value = readNumber(cursor, expected);
  const unitWord = cursor.take(UNIT)?.[1]?.toLowerCase();
  const unit = unitWord === undefined ? 'degrees' : unitWord === 'gon' ? 'gon' : 'mils';
  cursor.inRange(value, unit === 'degrees' ? 'bearing' : unit, 0, MOST[unit], start);
  if (unit === 'degrees') cursor.take(/[°º]/y);
  const north = readNorth(cursor, readNorth(cursor, read, NORTH_LETTER), SPACED_NORTH_LETTER);
  const next = cursor.text[cursor.position];
  if (!cursor.atEnd && next !== undefined && !/[\s>@]/.test(next)) {
    const numeral = cursor.text.slice(start, cursor.position);
    const glued = asWind(cursor.peekWord());
    cursor.expected(expected, glued ? [`${numeral} ${glued}`] : undefined);
  }
  const wordAt = cursor.position;
  const found = cursor.take(WORD);
  if (!found) return { unit, value, north };
  const word = asWind(found[1]!);
  if (!word) {
    cursor.position = wordAt;
    cursor.skipSpace();
    cursor.expected('distance');
  }
  const reading: BearingReading = { unit, value, word: word!, north };
  checkWord(cursor, reading, word!, wordAt);
  return reading;
}

/** Refuses a word that contradicts its number, with every reading that the two could mean. */
function checkWord(cursor: Cursor, reading: BearingReading, word: Wind, wordAt: number): void {
  const degrees = bearingDegrees(reading);
  if (Math.abs(signedDifference(windBearing(word), degrees)) <= wordTolerance(word)) return;
  const column = wordAt + 1;
  cursor.refuse(
    { code: 'word-contradicts-number', degrees, word, readings: couldMean(degrees, word) },
    column,
  );
}

/** What a number with a contradicting word could mean: the number alone, and its quadrants on that side. */
function couldMean(degrees: number, word: Wind): string[] {
  const alone = threeDigits(degrees).slice(0, 3);
  if (degrees > 90) return [alone, nearestEighth(windBearing(word))];
  const figure = String(degrees);
  const firsts = word.includes('S') ? ['S'] : word.includes('N') ? ['N'] : ['N', 'S'];
  const lasts = word.includes('E') ? ['E'] : word.includes('W') ? ['W'] : ['E', 'W'];
  const quadrants = firsts.flatMap((first) => lasts.map((last) => `${first}${figure}${last}`));
  return [alone, ...quadrants];
}
