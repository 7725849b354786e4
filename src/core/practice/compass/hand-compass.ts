import { normalised, signedDifference } from '../../units/angle';
import type { Degrees } from '../../units/units';

/** What may be wrong with a compass. */
export const COMPASS_FAULTS = ['none', 'reversed', 'bubble'] as const;
export type CompassFault = (typeof COMPASS_FAULTS)[number];

/** A base-plate compass in the hand: what the hand has set. Angles are from true north. */
export interface HandCompass {
  /** Which way the line of travel points. */
  readonly bodyDegrees: Degrees;
  /** What the dial reads at the index. */
  readonly dialDegrees: Degrees;
  /** How far the orienting arrow is turned in the housing, east positive: its declination. */
  readonly housingEast: Degrees;
}

/** A large bubble holds the needle aside by this much. */
export const BUBBLE_DEGREES = 7;

/** Where the painted end points when the needle points along the field. */
export function paintedEnd(needle: Degrees, fault: CompassFault): Degrees {
  if (fault === 'reversed') return normalised(needle + 180);
  if (fault === 'bubble') return normalised(needle + BUBBLE_DEGREES);
  return needle;
}

/** Where the dial's N points. */
export const dialNorth = ({ bodyDegrees, dialDegrees }: HandCompass): Degrees =>
  normalised(bodyDegrees - dialDegrees);

/** Where the orienting arrow points. */
export const orientingArrow = (compass: HandCompass): Degrees =>
  normalised(dialNorth(compass) + compass.housingEast);

/** How far the needle's painted end is to the right of the orienting arrow, in (-180, 180]. */
export const offArrow = (compass: HandCompass, painted: Degrees): Degrees =>
  signedDifference(orientingArrow(compass), painted);
