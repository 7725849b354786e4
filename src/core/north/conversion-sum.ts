import { normalised } from '../units/angle';
import type { Bearing, North } from '../units/bearing';
import type { Degrees } from '../units/units';
import { converted, northEastOf, type Norths } from './norths';

/** The sum that converts a bearing from one north to another, as a person would write it. */
export interface ConversionSum {
  readonly start: Bearing;
  readonly end: Bearing;
  /** How far east of the first north the second lies: it is subtracted from the bearing. */
  readonly eastDegrees: Degrees;
  /** The bearing before it is brought into [0, 360). */
  readonly rawDegrees: Degrees;
  /** What brings it into [0, 360): -360, 0 or 360. */
  readonly wrapDegrees: Degrees;
}

/**
 * The sum of a conversion: bearing from B = bearing from A − (how far east of A north B lies). Null
 * where the angle isn't known.
 */
export function conversionSum(bearing: Bearing, to: North, norths: Norths): ConversionSum | null {
  const end = converted(bearing, to, norths);
  const eastDegrees = northEastOf(bearing.north, to, norths);
  if (!end || eastDegrees === null) return null;
  const start = { degrees: normalised(bearing.degrees), north: bearing.north };
  const rawDegrees = start.degrees - eastDegrees;
  const wrapDegrees = rawDegrees < 0 ? 360 : rawDegrees >= 360 ? -360 : 0;
  return { start, end, eastDegrees, rawDegrees, wrapDegrees };
}

/**
 * The mark on a fixed declination scale to which the needle is brought, so that the dial reads from
 * a north: degrees clockwise of the housing's N, in [0, 360). Null where it isn't known.
 */
export function declinationScaleMark(read: North, norths: Norths): Degrees | null {
  const east = northEastOf(read, 'magnetic', norths);
  return east === null ? null : normalised(east);
}
