import type { Metres } from '../../units/units';

/**
 * W. W. Naismith, Scottish Mountaineering Club Journal, 1892: an hour for each 3 miles and for each
 * 2,000 ft of climb; in the metric form of the trade.
 */
export const NAISMITH_KMH = 5;
const CLIMB_METRES_AN_HOUR = 600;

/** Minutes to walk metres at a speed (km/h, above 0), with the allowance for metres of climb. */
export const walkMinutes = (
  metres: Metres,
  kilometresPerHour: number,
  climbMetres: Metres = 0,
): number =>
  60 * (metres / 1000 / kilometresPerHour + Math.max(0, climbMetres) / CLIMB_METRES_AN_HOUR);
