import { legCovariance, sumCovariance, type Covariance } from '../errors/covariance';
import { ellipse, type Ellipse } from '../errors/ellipse';
import { bearingVariance, sharedCovariance } from '../errors/variance';
import type { Solution } from '../survey/solution';
import type { PlanePoint } from '../units/plane';

/** Covariance of a straight walk: the aim in use at the end of the log, and the general pace. */
export const walkCovariance = ({ end, errors }: Solution, vector: PlanePoint): Covariance =>
  legCovariance(vector, end.general.paceVariance, bearingVariance(errors, end.aim));

/**
 * Covariance of where the walk from one station to another ends, against that station. With the
 * same compass and the same stride out and back the shared errors cancel; the legs' own errors and
 * those of the walk itself remain.
 */
export function positionError(solution: Solution, from: number, to: number): Covariance {
  const path = solution.places.relative(from, to);
  return sumCovariance(path.covariance, walkCovariance(solution, path));
}

/** The same for a walk along a vector that does not aim at the station itself. */
export const positionErrorAlong = (
  solution: Solution,
  from: number,
  to: number,
  vector: PlanePoint,
): Covariance =>
  sumCovariance(solution.places.relative(from, to).covariance, walkCovariance(solution, vector));

/** The 95 % ellipse of the position error at the end of the straight way between two stations. */
export const positionErrorEllipse = (solution: Solution, from: number, to: number): Ellipse =>
  ellipse(positionError(solution, from, to));

/** The 95 % ellipse of a station's place on the map: here the shared errors count. */
export function placeOnMap({ places, errors }: Solution, station: number): Ellipse {
  const place = places.relative(0, station);
  const shared = sharedCovariance(errors, place, places.frame.norths.declinationSigmaDegrees);
  return ellipse(sumCovariance(place.covariance, shared));
}
