import { normalised } from './angle';
import type { Aim, DistanceReading } from './logbook';
import { degrees, radians, type Degrees, type Metres } from './units';

/** Default standard deviations, one sigma. Common practice, no source. */
const BEARING_SIGMA_DEGREES: Readonly<Record<Aim, Degrees>> = {
  needle: 4,
  landmark: 2,
  sighted: 1,
};
export const DISTANCE_SIGMA = 0.05;
/** However well the walks of a calibration agree, ground in the open does not repeat better than this. */
export const LEAST_PACE_SIGMA = 0.02;
const TIMED_DISTANCE_SIGMA = 0.1;
/** Errors common to the whole outing: the compass's own, and that of the pace length. */
const COMPASS_BIAS_DEGREES: Degrees = 1.5;
const SCALE_BIAS = 0.04;

/** Variance of a bearing in radians², by how it was followed. */
export const acrossVariance = (aim: Aim): number => radians(BEARING_SIGMA_DEGREES[aim]) ** 2;

/** Variance of a distance over its square, by how it was measured; `paced` is that of the pace in force. */
export function alongVariance(unit: DistanceReading['unit'], paced: number): number {
  if (unit === 'paces' || unit === 'steps') return paced;
  return (unit === 'minutes' ? TIMED_DISTANCE_SIGMA : DISTANCE_SIGMA) ** 2;
}

/** A symmetric covariance in the plane, metres², x east and y north. */
export interface Covariance {
  readonly xx: number;
  readonly xy: number;
  readonly yy: number;
}

export const added = (a: Covariance, b: Covariance): Covariance => ({
  xx: a.xx + b.xx,
  xy: a.xy + b.xy,
  yy: a.yy + b.yy,
});

/** Covariance of one leg dx, dy (metres): relative variance along it, variance in radians² across it. */
export const legCovariance = (
  dx: Metres,
  dy: Metres,
  along: number,
  across: number,
): Covariance => ({
  xx: along * dx * dx + across * dy * dy,
  xy: (along - across) * dx * dy,
  yy: along * dy * dy + across * dx * dx,
});

/**
 * Covariance at x, y (metres from the start) of what is common to all legs: a turn of the whole figure,
 * J = (y, -x) per radian, and a scale, J = (x, y). Declination's own sigma joins the compass's in quadrature.
 */
export function biasCovariance(x: Metres, y: Metres, declinationSigma: Degrees): Covariance {
  const turn = radians(COMPASS_BIAS_DEGREES) ** 2 + radians(declinationSigma) ** 2;
  return legCovariance(x, y, SCALE_BIAS ** 2, turn);
}

/** Chi-square with two degrees of freedom at 95 %: -2 ln 0.05 = 5.9915. */
const CHI_SQUARE_95 = -2 * Math.log(0.05);

/** An ellipse that holds 95 % of outcomes: semi-axes in metres, azimuth of the major one in [0, 180). */
export interface Ellipse {
  readonly semiMajorMetres: Metres;
  readonly semiMinorMetres: Metres;
  readonly azimuthDegrees: Degrees;
}

/**
 * The 95 % ellipse of a covariance. Eigenvalues by the half-difference form, which does not cancel; a
 * smaller one that rounding took below zero is zero.
 */
export function ellipse({ xx, xy, yy }: Covariance): Ellipse {
  const mean = (xx + yy) / 2;
  const radius = Math.hypot((xx - yy) / 2, xy);
  const azimuth = radius === 0 ? 0 : normalised(degrees(Math.atan2(2 * xy, yy - xx) / 2));
  return {
    semiMajorMetres: Math.sqrt(CHI_SQUARE_95 * (mean + radius)),
    semiMinorMetres: Math.sqrt(CHI_SQUARE_95 * Math.max(0, mean - radius)),
    azimuthDegrees: azimuth >= 180 ? azimuth - 180 : azimuth,
  };
}

/** True when a miss lies inside the 95 % ellipse of a covariance that is not degenerate. */
export const insideEllipse = ({ xx, xy, yy }: Covariance, east: Metres, north: Metres): boolean =>
  yy * east * east - 2 * xy * east * north + xx * north * north <=
  CHI_SQUARE_95 * (xx * yy - xy * xy);
