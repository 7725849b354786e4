import { legCovariance, NO_COVARIANCE, sumCovariance, type Covariance } from '../errors/covariance';
import type { Means, Walked } from '../errors/means';
import { bearingVariance, distanceVariance } from '../errors/own-errors';
import {
  joinedSums,
  sharedCovariance,
  type JointErrors,
  type SharedSum,
} from '../errors/shared-errors';
import { homeMeans } from '../survey/home-means';
import type { RelativePlace } from '../survey/places';
import { sharedAlong } from '../survey/shared-along';
import { sharedScale } from '../survey/shared-scale';
import type { Solution } from '../survey/solution';
import { ORIGIN, sumOf, type PlanePoint } from '../units/plane';

/** What a walk is asked of: places, and the means and the errors that it is made with. */
export type WalkBasis = Pick<Solution, 'places' | 'end' | 'errors'>;

/** The errors of a walk along straight stretches: where it ends, against where it should. */
export interface WalkErrors {
  readonly covariance: Covariance;
  readonly shared: readonly SharedSum[];
  readonly joint?: JointErrors;
}

/** Means as a walk uses them: its compass is set to whole degrees. */
export const walkedBy = (means: Means): Walked => ({
  means,
  finenessDegrees: 1,
  slopeTangent: 0,
  ironDegrees: 0,
  isAbout: false,
});

/** The errors of a walk; without means, by those of the walk home. */
export function walkErrors(
  { end, errors, places }: WalkBasis,
  stretches: readonly PlanePoint[],
  means: Means = homeMeans(end),
): WalkErrors {
  const walked = walkedBy(means);
  const [along, across] = [distanceVariance(walked, errors), bearingVariance(walked, errors)];
  const scale = sharedScale(errors, places.frame.norths);
  // All stretches share alike: what they share is that of their sum.
  return {
    covariance: stretches.reduce(
      (sum, vector) => sumCovariance(sum, legCovariance(vector, along, across)),
      NO_COVARIANCE,
    ),
    shared: sharedAlong(stretches.reduce(sumOf, ORIGIN), walked, scale),
  };
}

/**
 * Where a walk from the end of a path ends, against where the path began. `path` leads from where
 * the walk begins to where it should end: the way that was walked out, and back along it in
 * thought. What path and walk share cancels as far as both have it.
 */
export const missOf = (path: RelativePlace, walk: WalkErrors): WalkErrors => ({
  covariance: sumCovariance(path.covariance, walk.covariance),
  shared: joinedSums(walk.shared, path.shared, -1),
  ...(path.joint && { joint: path.joint }),
});

/** The covariance of all errors together. */
export const totalOf = ({ covariance, shared, joint }: WalkErrors): Covariance =>
  sumCovariance(covariance, sharedCovariance(shared, joint));
