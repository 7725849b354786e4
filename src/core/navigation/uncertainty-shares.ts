import { legCovariance, NO_COVARIANCE, sumCovariance, totalVariance } from '../errors/covariance';
import { within95 } from '../errors/ellipse';
import { bearingVariance } from '../errors/variance';
import type { Solution, SolvedLeg } from '../survey/solution';
import { vectorBetween } from '../units/plane';
import type { Metres } from '../units/units';
import { positionError } from './position-error';

/** Where the uncertainty at home comes from: major half-axes of 95 % ellipses. */
export interface UncertaintyShares {
  readonly fromPaceMetres: Metres;
  readonly fromBearingsMetres: Metres;
  readonly togetherMetres: Metres;
}

/**
 * Splits the uncertainty at home into what comes from distances and what from bearings: the same
 * sum as the position error, with one of each leg's two variances set to nothing. The two add up
 * as squares, not as metres.
 */
export function uncertaintyShares(solution: Solution): UncertaintyShares {
  const { legs, places, current, end, errors } = solution;
  const stretches = legs.pathTo(current).map((leg) => ({
    vector: vectorBetween(leg.start, leg.end),
    along: leg.alongVariance,
    across: leg.acrossVariance,
  }));
  stretches.push({
    vector: places.relative(current, 0),
    along: end.general.paceVariance,
    across: bearingVariance(errors, end.aim),
  });
  let [pace, bearings] = [NO_COVARIANCE, NO_COVARIANCE];
  for (const { vector, along, across } of stretches) {
    pace = sumCovariance(pace, legCovariance(vector, along, 0));
    bearings = sumCovariance(bearings, legCovariance(vector, 0, across));
  }
  return {
    fromPaceMetres: within95(pace),
    fromBearingsMetres: within95(bearings),
    togetherMetres: within95(sumCovariance(pace, bearings)),
  };
}

/** What one leg adds to the uncertainty at home, as a share of the variance. */
export interface LegShare {
  readonly leg: SolvedLeg;
  readonly share: number;
}

/** What each leg of the path adds to the uncertainty at home, the largest share first. */
export function uncertaintyByLeg(solution: Solution): LegShare[] {
  const total = totalVariance(positionError(solution, solution.current, 0));
  return solution.legs
    .pathTo(solution.current)
    .map((leg) => ({ leg, share: totalVariance(leg.covariance) / total }))
    .sort((a, b) => b.share - a.share);
}
