import { normalised } from './angle';
import { converted, northEastOf, type Bearing, type North, type Norths } from './north';
import type { Degrees } from './units';

/** The sum that a person would do to turn a bearing from one north into one from another, line by line. */
export interface NorthSum {
  readonly start: Bearing;
  readonly end: Bearing;
  /** How far east of the first north the second lies: it is taken off the bearing. */
  readonly eastDegrees: Degrees;
  /** The bearing before it is brought into the circle. */
  readonly rawDegrees: Degrees;
  /** What brings it into the circle: -360, 0 or 360. */
  readonly wrapDegrees: Degrees;
}

/**
 * The sum of a conversion: bearing from B = bearing from A − (how far east of A north B lies). Null where the
 * angle is not known.
 */
export function northSum(bearing: Bearing, to: North, norths: Norths): NorthSum | null {
  const end = converted(bearing, to, norths);
  const eastDegrees = northEastOf(bearing.north, to, norths);
  if (!end || eastDegrees === null) return null;
  const start = { degrees: normalised(bearing.degrees), north: bearing.north };
  const rawDegrees = start.degrees - eastDegrees;
  const wrapDegrees = rawDegrees < 0 ? 360 : rawDegrees >= 360 ? -360 : 0;
  return { start, end, eastDegrees, rawDegrees, wrapDegrees };
}

/**
 * The mark on the scale inside the housing to which the needle is brought, so that the dial reads from a north:
 * how far clockwise of the housing's own N the needle then stands, in [0, 360). Null where it is not known.
 */
export function needleMark(read: North, norths: Norths): Degrees | null {
  const east = northEastOf(read, 'magnetic', norths);
  return east === null ? null : normalised(east);
}
