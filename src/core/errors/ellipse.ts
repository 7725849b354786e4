import { normalised } from '../units/angle';
import type { PlanePoint } from '../units/plane';
import { degrees, type Degrees, type Metres } from '../units/units';
import type { Covariance } from './covariance';

/** Chi-square with two degrees of freedom at 95 %: -2 ln 0.05 = 5.9915. */
export const CHI_SQUARE_95 = -2 * Math.log(0.05);

/** An ellipse that holds 95 % of outcomes. */
export interface Ellipse {
  readonly semiMajorMetres: Metres;
  readonly semiMinorMetres: Metres;
  /** Azimuth of the major axis, in [0, 180). */
  readonly azimuthDegrees: Degrees;
}

/**
 * The 95 % ellipse of a covariance. Eigenvalues by the half-difference form, which doesn't cancel;
 * a smaller one that rounding took below zero is zero.
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

/** The radius within which 95 % lie at most: the major semi-axis of the ellipse. */
export const within95 = (covariance: Covariance): Metres => ellipse(covariance).semiMajorMetres;

/** True when an error lies inside the 95 % ellipse of a covariance that isn't degenerate. */
export const isInsideEllipse = ({ xx, xy, yy }: Covariance, { east, north }: PlanePoint): boolean =>
  yy * east * east - 2 * xy * east * north + xx * north * north <=
  CHI_SQUARE_95 * (xx * yy - xy * xy);
