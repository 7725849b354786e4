import type { PlanePoint } from '../units/plane';

/** A symmetric covariance in the plane, in metres², x east and y north. */
export interface Covariance {
  readonly xx: number;
  readonly xy: number;
  readonly yy: number;
}

export const NO_COVARIANCE: Covariance = { xx: 0, xy: 0, yy: 0 };

export const sumCovariance = (a: Covariance, b: Covariance): Covariance => ({
  xx: a.xx + b.xx,
  xy: a.xy + b.xy,
  yy: a.yy + b.yy,
});

/** Covariance of one leg: relative variance along it, variance in radians² across it. */
export const legCovariance = (
  { east, north }: PlanePoint,
  along: number,
  across: number,
): Covariance => ({
  xx: along * east * east + across * north * north,
  xy: (along - across) * east * north,
  yy: along * north * north + across * east * east,
});

/** Variance in the direction of a unit vector. */
export const varianceAlong = ({ xx, xy, yy }: Covariance, unit: PlanePoint): number =>
  unit.east * unit.east * xx + 2 * unit.east * unit.north * xy + unit.north * unit.north * yy;

/** The sum of the variances east and north. */
export const totalVariance = ({ xx, yy }: Covariance): number => xx + yy;
