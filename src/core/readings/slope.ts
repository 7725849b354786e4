import * as z from 'zod/mini';
import { plainDecimal, radians } from '../units/units';
import { LARGEST_READING, openObject, positiveAmount } from './shape';

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

const written = (slope: number, over = '') =>
  `${slope < 0 ? 'down' : 'up'} ${plainDecimal(Math.abs(slope))}${over}`;

/** A slope as written in a log; empty for level ground. */
export function writeSlope({ slopeDegrees, slopeRatio }: SlopeReading): string {
  if (slopeDegrees !== undefined) return written(slopeDegrees);
  return slopeRatio ? written(slopeRatio.rise, `/${plainDecimal(slopeRatio.run)}`) : '';
}
