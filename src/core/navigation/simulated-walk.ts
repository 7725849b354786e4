import type { LineHome } from '../errors/arrivals';
import type { Walk } from '../errors/random-walks';
import { bearingVariance } from '../errors/variance';
import type { Solution } from '../survey/solution';
import { azimuthOf, lengthOf, polar, type PlanePoint } from '../units/plane';
import { radians } from '../units/units';
import { longestAlong, type AimOff } from './ways/aim-off';

/** The legs from the start to where the traveller is, and the walk from there along a vector. */
export function walkOf({ legs, current, end, errors }: Solution, home: PlanePoint): Walk {
  const path = legs.pathTo(current);
  const bearings = path.map(({ bearingDegrees }) => bearingDegrees);
  return {
    bearing: Float64Array.from([...bearings, azimuthOf(home)], radians),
    length: Float64Array.from([...path.map(({ metres }) => metres), lengthOf(home)]),
    alongSigma: Float64Array.from(
      [...path.map(({ alongVariance }) => alongVariance), end.general.paceVariance],
      Math.sqrt,
    ),
    acrossSigma: Float64Array.from(
      [...path.map(({ acrossVariance }) => acrossVariance), bearingVariance(errors, end.aim)],
      Math.sqrt,
    ),
  };
}

/** The walk out and straight home. */
export const straightWalk = (solution: Solution): Walk =>
  walkOf(solution, solution.places.relative(solution.current, 0));

/** The walk out and the aimed-off walk home. */
export const aimOffWalk = (solution: Solution, aim: AimOff): Walk =>
  walkOf(solution, polar(aim.bearingDegrees, aim.distanceMetres));

/** The line as simulated walks follow it: the aim is the other way along it than home. */
export const lineHome = (aim: AimOff): LineHome => ({
  azimuth: radians(aim.lineDegrees + 180),
  mostMetres: longestAlong(aim),
});
