import { timesOf, walkedStretches } from '../../survey/leg-times';
import { homeMeans } from '../../survey/home-means';
import type { Solution } from '../../survey/solution';
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

const tenths = (value: number) => Math.round(value * 10) / 10;

/**
 * The speed of a leg by the clock until a person says another, in km/h to a tenth: that of the walk
 * home or of the last such leg, their own by the times noted, or the usual one.
 */
export const usualSpeed = (solution: Solution): number =>
  tenths(homeMeans(solution.end).kilometresPerHour ?? ownSpeed(solution) ?? NAISMITH_KMH);

/** Times nearer than this tell no speed. */
const LEAST_MINUTES = 5;

/**
 * The outing's own speed in km/h while walking: by the stretches between times noted, without those
 * that hold a halt; null where the times tell none.
 */
export function ownSpeed(solution: Solution): number | null {
  const walked = walkedStretches(timesOf(solution));
  const minutes = walked.reduce((sum, stretch) => sum + stretch.minutes, 0);
  const metres = walked.reduce((sum, stretch) => sum + stretch.metres, 0);
  return minutes < LEAST_MINUTES || metres === 0 ? null : (metres / 1000 / minutes) * 60;
}
