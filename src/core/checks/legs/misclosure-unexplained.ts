import { lengthText } from '../../units/figures';
import { sumCovariance, type Covariance } from '../../errors/covariance';
import { joinedSums, sharedCovariance } from '../../errors/shared-errors';
import { asWalked, type Closure, type Solution } from '../../survey/solution';
import type { PlanePoint } from '../../units/plane';
import type { Check } from '../check';

/** 99 % of chi-square with two degrees of freedom: -2·ln 0.01. */
const LIMIT = -2 * Math.log(0.01);

/**
 * `misclosure-unexplained`: a loop closes farther off than its legs' own errors explain, at 99 %.
 * What all its legs share, the compass and the length of the pace, cancels around it.
 */
export const misclosureUnexplained: Check = (solution, units) =>
  solution.closures.flatMap((closure) => {
    const { entry, metres, station, misclosure } = closure;
    if (squaredInSigmas(misclosure, covarianceAround(solution, closure)) <= LIMIT) return [];
    const message =
      `The way back to ${station} ends ${lengthText(metres, units)} off: more than compass and ` +
      'pace explain. Look for a blunder: a bearing turned by 180°, a hundred too few or ' +
      'too many, a leg not written.';
    return [{ code: 'misclosure-unexplained' as const, at: { entry }, message }];
  });

/** The covariance of the loop, from the station around to where the last leg ended. */
function covarianceAround(solution: Solution, { leg }: Closure): Covariance {
  const { places, legs } = asWalked(solution);
  const last = legs.leg(leg);
  const around = places.relative(last.to, last.from);
  const shared = joinedSums(around.shared, legs.sharedOf(leg));
  return sumCovariance(sumCovariance(around.covariance, last.covariance), sharedCovariance(shared));
}

/** The square of a vector's length in standard deviations: v'·C⁻¹·v. */
function squaredInSigmas({ east, north }: PlanePoint, { xx, xy, yy }: Covariance): number {
  const determinant = xx * yy - xy * xy;
  if (determinant <= 0) return 0;
  return (yy * east * east - 2 * xy * east * north + xx * north * north) / determinant;
}
