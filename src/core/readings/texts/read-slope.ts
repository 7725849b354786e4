import { ABOVE_ZERO } from '../../units/ranges';
import type { Cursor } from '../cursor';
import { readNumber } from '../number';
import { LARGEST_READING } from '../shape';
import type { SlopeReading } from '../slope';

const OVER = /\s*(?:[/:]|in(?![a-z]))\s*/iy;
const PER_CENT = /\s*(?:%|per\s?cent(?![a-z])|percent(?![a-z]))/iy;
const DEGREES = /\s*(?:[°º]|deg(?:ree)?s?(?![a-z])\.?)/iy;

/**
 * A slope in degrees (`up 12`), as rise over run (`up 1/5`, `up 1 in 5`) or in per cent (`up 20%`,
 * kept as 20/100); down is negative.
 */
export function readSlope(cursor: Cursor, direction: 'up' | 'down'): SlopeReading {
  cursor.skipSpace();
  const start = cursor.position;
  const signed = (value: number) => (direction === 'up' ? value : 0 - value);
  const value = readNumber(cursor, 'slope');
  if (cursor.take(OVER)) {
    const runAt = cursor.position;
    const run = readNumber(cursor, 'slope');
    cursor.inRange(value, 'rise', 0, LARGEST_READING, start);
    cursor.inRange(run, 'rise', ABOVE_ZERO, LARGEST_READING, runAt);
    return { slopeRatio: { rise: signed(value), run } };
  }
  if (cursor.take(PER_CENT)) {
    cursor.inRange(value, 'rise', 0, LARGEST_READING, start);
    return { slopeRatio: { rise: signed(value), run: 100 } };
  }
  cursor.take(DEGREES);
  cursor.inRange(value, 'slope', 0, 89.9, start);
  return { slopeDegrees: signed(value) };
}
