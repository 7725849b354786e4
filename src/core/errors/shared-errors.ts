import type { PlanePoint } from '../units/plane';
import { legCovariance, NO_COVARIANCE, sumCovariance, type Covariance } from './covariance';
import type { SharedError } from './sources/source';

/**
 * What a way has of one shared error: the sum of its stretches, each times how much of the error
 * it has.
 *
 * | symbol | meaning                                   | equation                               |
 * | S      | sum of the stretches, metres              | Σ share·(dx, dy)                       |
 * | J      | where the way ends, for one unit of error | of a distance S, of a bearing (Sy, -Sx)|
 * | C      | covariance of where it ends               | σ²·J·J'                                |
 */
export interface SharedSum extends PlanePoint {
  readonly error: SharedError;
}

/** The sums of two ways joined: an error that both have cancels as far as both have it. */
export function joinedSums(
  one: readonly SharedSum[],
  other: readonly SharedSum[],
  sign: 1 | -1 = 1,
): SharedSum[] {
  const joined = new Map(one.map((sum) => [sum.error.key, sum]));
  for (const { error, east, north } of other) {
    const met = joined.get(error.key);
    joined.set(error.key, {
      error,
      east: (met?.east ?? 0) + sign * east,
      north: (met?.north ?? 0) + sign * north,
    });
  }
  return [...joined.values()];
}

/** Where a way ends for one unit of a shared error, in metres. */
export const effectOf = ({ error, east, north }: SharedSum): PlanePoint =>
  error.of === 'distance' ? { east, north } : { east: north, north: -east };

/** Covariance of where a way ends by one shared error. */
export function covarianceOfSum({ error, east, north }: SharedSum): Covariance {
  const variance = error.sigma ** 2;
  return error.of === 'distance'
    ? legCovariance({ east, north }, variance, 0)
    : legCovariance({ east, north }, 0, variance);
}

/**
 * What is known of shared errors together, once an adjustment has estimated them: less than their
 * priors units, and no longer each for itself.
 */
export interface JointErrors {
  /** Covariance of two shared errors, by their keys; null where the adjustment tells nothing. */
  between(one: string, other: string): number | null;
}

/** Covariance of where a way ends by all that its stretches share. */
export function sharedCovariance(sums: readonly SharedSum[], joint?: JointErrors): Covariance {
  if (!joint) {
    return sums.reduce((total, sum) => sumCovariance(total, covarianceOfSum(sum)), NO_COVARIANCE);
  }
  let total = NO_COVARIANCE;
  for (const one of sums) {
    if (joint.between(one.error.key, one.error.key) === null) {
      total = sumCovariance(total, covarianceOfSum(one));
      continue;
    }
    const a = effectOf(one);
    for (const other of sums) {
      const common = joint.between(one.error.key, other.error.key);
      if (common === null) continue;
      const b = effectOf(other);
      total = sumCovariance(total, {
        xx: common * a.east * b.east,
        xy: (common * (a.east * b.north + a.north * b.east)) / 2,
        yy: common * a.north * b.north,
      });
    }
  }
  return total;
}
