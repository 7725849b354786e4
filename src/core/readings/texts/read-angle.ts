import type { Expected } from '../../faults/fault';
import { MOST_MINUTES } from '../../units/ranges';
import type { Degrees } from '../../units/units';
import type { AngleReading } from '../angle';
import type { Cursor } from '../cursor';
import { readAmount } from '../number';

const SIGNED = /[-+−](\d+(?:\.\d+)?)/y;
const LETTER_FIRST = /(east|west|e|w)\s*(?=\d)/iy;
const DEGREE_SIGN = /\s*(?:[°º]|deg(?:ree)?s?(?![a-z])\.?)/iy;
const MINUTE_SIGN = /\s*(?:['’′]|min(?:ute)?s?(?![a-z])\.?)/iy;
const MINUTES = /\s*(\d+(?:\.\d+)?)\s*(?:['’′]|min(?:ute)?s?(?![a-z])\.?)/iy;
const BARE_MINUTES = /\s+(\d+(?:\.\d+)?)(?=\s*(?:[ew]|east|west)(?:[\s;,]|$))/iy;
const EAST_OR_WEST = /\s*(east|west|e|w)(?![a-z])\.?/iy;
const PLAIN_NUMBER = /^\d+(\.\d+)?$/;

/**
 * An angle with its letter or word: `19.1 W`, `2°18' W`, `2 18 W`, `9' E`, `2 deg 18 min West`,
 * `W 19.1`; refused without.
 */
export function readAngle(cursor: Cursor, expected: Expected = 'angle'): AngleReading {
  const start = cursor.position;
  const sign = cursor.take(SIGNED);
  if (sign) {
    const letter = sign[0].startsWith('+') ? 'E' : 'W';
    const nearest = [`${sign[1]} ${letter}`];
    return cursor.refuse({ code: 'unexpected', found: sign[0], expected, nearest }, start);
  }
  const before = cursor.take(LETTER_FIRST)?.[1];
  const { degrees, minutes } = readArc(cursor, expected, start);
  const letter = before ?? cursor.take(EAST_OR_WEST)?.[1];
  if (letter === undefined) return refuseLetterless(cursor, expected, start);
  const toward = /^e/i.test(letter) ? 'E' : 'W';
  return minutes === undefined ? { degrees, toward } : { degrees, minutes, toward };
}

/** An angle without its letter: `19.1`, `2°18'`, `9'`. */
export function readArc(
  cursor: Cursor,
  expected: Expected,
  start = cursor.position,
): { degrees: Degrees; minutes: number | undefined } {
  const first = readAmount(cursor, expected);
  const onlyMinutes = cursor.take(MINUTE_SIGN) !== null;
  const degrees = onlyMinutes ? 0 : first;
  const minutes = onlyMinutes ? first : readMinutes(cursor);
  cursor.inRange(degrees, 'declination', 0, 180, start);
  if (minutes !== undefined) cursor.inRange(minutes, 'minutes-of-arc', 0, MOST_MINUTES, start);
  return { degrees, minutes };
}

function readMinutes(cursor: Cursor): number | undefined {
  cursor.take(DEGREE_SIGN);
  const found = cursor.take(MINUTES) ?? cursor.take(BARE_MINUTES);
  return found ? Number(found[1]) : undefined;
}

/** An angle without its letter is asked back, in the words in which it stands. */
function refuseLetterless(cursor: Cursor, expected: Expected, start: number): never {
  const written = cursor.text.slice(start, cursor.position).trim();
  const isAngle = PLAIN_NUMBER.test(written) || /['’′°ºdm]/.test(written);
  const readings = [`${written} E`, `${written} W`];
  return cursor.refuse(
    { code: 'unexpected', found: '', expected, nearest: isAngle ? readings : undefined },
    cursor.position,
    start,
  );
}
