import { acrossVariance, added, ellipse, legCovariance, type Covariance } from './error-model';
import type { Solution } from './solve';
import type { Metres } from './units';

/** What the doubt of the walk between two stations is made of: half-axes of 95 % ellipses, in metres. */
export interface DoubtShares {
  readonly fromPaceMetres: Metres;
  readonly fromBearingsMetres: Metres;
  readonly togetherMetres: Metres;
}

const NOTHING: Covariance = { xx: 0, xy: 0, yy: 0 };

/**
 * Splits the miss at home into what comes from distances and what from bearings: the same sum as the covariance of
 * the miss, each leg on the path with one of its two variances set to nothing. The two add up as squares, not as metres.
 */
export function doubtShares(solution: Solution, from: number, to: number): DoubtShares {
  const { traverse, end } = solution;
  let [pace, bearings] = [NOTHING, NOTHING];
  const take = (dx: Metres, dy: Metres, along: number, across: number) => {
    pace = added(pace, legCovariance(dx, dy, along, 0));
    bearings = added(bearings, legCovariance(dx, dy, 0, across));
  };
  let [a, b] = [from, to];
  // A leg leaves from a point with a smaller number: stepping the larger one back meets at the fork.
  while (a !== b) {
    const k = Math.max(a, b);
    const origin = traverse.from[k]!;
    const dx = traverse.east[k]! - traverse.east[origin]!;
    const dy = traverse.north[k]! - traverse.north[origin]!;
    take(dx, dy, traverse.alongVariance[k]!, traverse.acrossVariance[k]!);
    if (a > b) a = origin;
    else b = origin;
  }
  const dx = traverse.east[to]! - traverse.east[from]!;
  const dy = traverse.north[to]! - traverse.north[from]!;
  take(dx, dy, end.paceVariance, acrossVariance(end.aim));
  const half = (covariance: Covariance) => ellipse(covariance).semiMajorMetres;
  return {
    fromPaceMetres: half(pace),
    fromBearingsMetres: half(bearings),
    togetherMetres: half(added(pace, bearings)),
  };
}
