import type { Solution } from './solve';
import type { Metres } from './units';

/** W. W. Naismith, Scottish Mountaineering Club Journal, 1892: an hour for each 3 miles and for each 2,000 ft of climb; in the metric form of the trade. */
export const NAISMITH_KMH = 5;
const CLIMB_METRES_AN_HOUR = 600;

/** Minutes to walk metres at a speed (km/h, above 0), with the hill allowance for metres of climb. */
export const walkMinutes = (
  metres: Metres,
  kilometresPerHour: number,
  climbMetres: Metres = 0,
): number =>
  60 * (metres / 1000 / kilometresPerHour + Math.max(0, climbMetres) / CLIMB_METRES_AN_HOUR);

const minutesOf = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));

/** Times nearer than this tell no speed. */
const LEAST_MINUTES = 5;

/** The outing's own speed in km/h, by the first and last times noted and all that was walked between; null where times tell none. */
export function ownSpeed(solution: Solution): number | null {
  const { outing, traverse } = solution;
  let first: { minutes: number; metres: number } | null = outing.date?.time
    ? { minutes: minutesOf(outing.date.time), metres: 0 }
    : null;
  let last = first;
  let metres = 0;
  let leg = 0;
  for (const entry of outing.entries) {
    if (entry.kind !== 'leg') continue;
    metres += traverse.lengthMetres[++leg]!;
    if (entry.time === undefined) continue;
    last = { minutes: minutesOf(entry.time), metres };
    first ??= last;
  }
  if (!first || !last) return null;
  const passed = (last.minutes - first.minutes + 24 * 60) % (24 * 60);
  if (passed < LEAST_MINUTES || last.metres <= first.metres) return null;
  return ((last.metres - first.metres) / 1000 / passed) * 60;
}
