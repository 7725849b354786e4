import * as z from 'zod/mini';
import { plainDecimal, radians } from '../units/units';
import type { Cursor } from './cursor';
import { readNumber } from './number';
import { LARGEST_READING, openObject, positiveAmount } from './shape';
import { ABOVE_ZERO } from '../units/ranges';

/** The fields of a slope: degrees, or metres of rise over metres of level run; up is positive. */
export const slopeFields = {
  slopeDegrees: z.optional(z.number().check(z.gt(-90), z.lt(90))),
  slopeRatio: z.optional(
    openObject({
      rise: z.number().check(z.gte(-LARGEST_READING), z.lte(LARGEST_READING)),
      run: positiveAmount,
    }),
  ),
};

/** A slope as it was read, at most one of the two; neither for level ground. */
export interface SlopeReading {
  slopeDegrees?: number;
  slopeRatio?: { rise: number; run: number };
}

/** Horizontal metres per metre along the slope: the cosine of its angle. */
export function horizontalShare({ slopeDegrees, slopeRatio }: SlopeReading): number {
  if (slopeDegrees !== undefined) return Math.cos(radians(slopeDegrees));
  return slopeRatio ? slopeRatio.run / Math.hypot(slopeRatio.rise, slopeRatio.run) : 1;
}

/** Rise over level run; 0 for level ground. */
export function slopeTangent({ slopeDegrees, slopeRatio }: SlopeReading): number {
  if (slopeDegrees !== undefined) return Math.abs(Math.tan(radians(slopeDegrees)));
  return slopeRatio ? Math.abs(slopeRatio.rise) / slopeRatio.run : 0;
}

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

const written = (slope: number, over = '') =>
  `${slope < 0 ? 'down' : 'up'} ${plainDecimal(Math.abs(slope))}${over}`;

/** A slope as written in a log; empty for level ground. */
export function writeSlope({ slopeDegrees, slopeRatio }: SlopeReading): string {
  if (slopeDegrees !== undefined) return written(slopeDegrees);
  return slopeRatio ? written(slopeRatio.rise, `/${plainDecimal(slopeRatio.run)}`) : '';
}
