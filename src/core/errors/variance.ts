import type { Aim } from '../entries/reckoning';
import type { ErrorSettings } from '../model/error-settings';
import type { DistanceReading } from '../readings/distance';
import type { PlanePoint } from '../units/plane';
import { radians, type Degrees } from '../units/units';
import { legCovariance, type Covariance } from './covariance';

/** Variance of a bearing in radians², by how it was followed. */
export const bearingVariance = (errors: ErrorSettings, aim: Aim): number =>
  radians(errors.bearingDegrees[aim]) ** 2;

/** Variance of a distance over its square; `paced` is that of the pace in use. */
export function distanceVariance(
  errors: ErrorSettings,
  unit: DistanceReading['unit'],
  paced: number,
): number {
  if (unit === 'paces' || unit === 'steps') return paced;
  return (unit === 'minutes' ? errors.timedDistance : errors.distance) ** 2;
}

/**
 * Covariance, at a point from the start, of what all legs share: a turn of the whole figure,
 * J = (y, -x) per radian, and a scale, J = (x, y). The declination's sigma joins the compass's.
 */
export function sharedCovariance(
  errors: ErrorSettings,
  point: PlanePoint,
  declinationSigma: Degrees,
): Covariance {
  const turn = radians(errors.compassDegrees) ** 2 + radians(declinationSigma) ** 2;
  return legCovariance(point, errors.paceScale ** 2, turn);
}
