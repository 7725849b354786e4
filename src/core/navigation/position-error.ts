import type { Covariance } from '../errors/covariance';
import { ellipse, type Ellipse } from '../errors/ellipse';
import type { Means } from '../errors/means';
import type { Solution } from '../survey/solution';
import type { Metres } from '../units/units';
import { missOf, totalOf, walkErrors, type WalkBasis } from './walk-errors';

/**
 * Covariance of where the straight walk from one station to another ends, against that station;
 * without means, by those of the walk home. One rule: an error that path and walk share cancels as
 * far as both have it, and no further.
 */
export function positionError(
  solution: WalkBasis,
  from: number,
  to: number,
  means?: Means,
): Covariance {
  const path = solution.places.relative(from, to);
  return totalOf(missOf(path, walkErrors(solution, [path], means)));
}

/** The 95 % ellipse of the position error at the end of the straight way between two stations. */
export const positionErrorEllipse = (solution: Solution, from: number, to: number): Ellipse =>
  ellipse(positionError(solution, from, to));

/** The 95 % ellipse of a station's place on the map: what all legs share counts in full. */
export const placeOnMap = ({ places }: Solution, station: number): Ellipse =>
  ellipse(totalOf(places.relative(0, station)));

/** How far off, 95 %, one may be after so many metres, by the means of the walk home. */
export const offAfter = (solution: Solution, metres: Metres): Metres =>
  ellipse(totalOf(walkErrors(solution, [{ east: 0, north: metres }]))).semiMajorMetres;
