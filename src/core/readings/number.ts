import type { Expected, Ranged } from '../faults/fault';
import type { Cursor } from './cursor';
import { LARGEST_READING, roundedReading } from './shape';

const PLAIN = /\d+(?:\.\d+)?(?![\d,./⁄½⅓⅔¼¾⅛⅜⅝⅞\s])/y;
const SIGNED = /[-+−]?\d+(?:\.\d+)?/y;
const UNSIGNED = /\d+(?:\.\d+)?|\.\d+/y;
/** A comma before three digits is a thousand. */
const THOUSANDS = /[1-9]\d{0,2}(?:,\d{3})+(?:\.\d+)?(?![\d,])/y;
const DECIMAL_COMMA = /(?:\d+,\d{1,2}|0,\d+)(?![\d,.])/y;
const WITH_FRACTION = /(?:(\d+)\s+)?(\d{1,2})[/⁄](\d{1,2})(?![\d./])/y;
const WITH_FRACTION_SIGN = /(\d+)?\s?([½⅓⅔¼¾⅛⅜⅝⅞])/y;

const FRACTION_SIGNS: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};

/** A plain number with a decimal point. */
export function readNumber(cursor: Cursor, expected: Expected, signed = false): number {
  const found = cursor.take(signed ? SIGNED : UNSIGNED);
  return found ? Number(found[0].replace('−', '-')) : cursor.expected(expected);
}

/**
 * A number as a person writes it: `65`, `65.5`, `65,5`, `1,200` (a comma before three digits is a
 * thousand), `65½`, `1/2`, `1 1/2`.
 */
export function readAmount(cursor: Cursor, expected: Expected): number {
  const plain = cursor.take(PLAIN);
  if (plain) return Number(plain[0]);
  const sign = cursor.take(WITH_FRACTION_SIGN);
  if (sign) return roundedReading(Number(sign[1] ?? 0) + (FRACTION_SIGNS[sign[2] ?? ''] ?? 0));
  const fraction = takeFraction(cursor);
  if (fraction !== null) return fraction;
  const thousands = cursor.take(THOUSANDS);
  if (thousands) return Number(thousands[0].replaceAll(',', ''));
  const comma = cursor.take(DECIMAL_COMMA);
  if (comma) return Number(comma[0].replace(',', '.'));
  return readNumber(cursor, expected);
}

/** `1/2` or `1 1/2`: less than a whole, so that `65/100` is none. */
function takeFraction(cursor: Cursor): number | null {
  const start = cursor.position;
  const [, whole = '0', above = '', below = ''] = cursor.take(WITH_FRACTION) ?? [];
  if (above !== '' && Number(above) < Number(below) && Number(below) <= 16) {
    return roundedReading(Number(whole) + Number(above) / Number(below));
  }
  cursor.position = start;
  return null;
}

/** A length in metres, with or without the unit. */
export function readMetres(cursor: Cursor, what: Ranged = 'metres'): number {
  const start = cursor.position;
  const value = readAmount(cursor, 'metres');
  cursor.inRange(value, what, 0, LARGEST_READING, start);
  cursor.take(/\s?m(?![a-z])/iy);
  return value;
}
