import { sharedScale } from '../shared-scale';
import { asWalked, type Solution } from '../solution';
import { logSights } from './log-sights';
import { solvedOnEarth, type EarthFix } from './on-earth';
import { MOST_READINGS } from './point/fix';
import { StationsAround } from './sights';

/**
 * Where the start of a log is on the earth, by all that it tells of known places: sightings from
 * any of its stations, with the legs between, and stations that are known themselves. Null where
 * that gives no place, or where true north isn't known.
 */
export function startByFix(solution: Solution): EarthFix | null {
  const { frame } = solution.places;
  if (frame.north !== 'true') return null;
  // The nearest ones to the start, which say the most of it: more are not solved at once.
  const sights = logSights(solution).slice(0, MOST_READINGS);
  const scale = sharedScale(solution.errors, frame.norths);
  const around = new StationsAround(asWalked(solution).places, 0);
  return solvedOnEarth({ sights, scale, around, solveCompass: false }).found;
}
