import { sumCovariance } from '../../errors/covariance';
import { ellipse } from '../../errors/ellipse';
import { planePointOf } from '../../place/geodesic';
import type { EarthFix } from '../../survey/fix/on-earth';
import type { KnownMark } from '../../survey/fix/sights';
import type { Solution } from '../../survey/solution';
import type { Metres } from '../../units/units';
import { totalOf, walkErrors } from '../walk-errors';
import { wayOnEarth, type Way } from '../ways/way';

/** The straight way from a fix to a place on the map. */
export interface WayFromFix extends Way {
  readonly to: string;
  /** How far off the walk's end may be, 95 %. */
  readonly within95Metres: Metres;
}

/**
 * The way from a fix, by the compass and the paces of the walk home. What the fix and the walk
 * share is not taken off: the figure is rather too large.
 */
export function wayFromFix(
  solution: Solution,
  { position, fix }: EarthFix,
  to: Pick<KnownMark, 'name' | 'position'>,
): WayFromFix {
  const vector = planePointOf(position, to.position);
  const walk = totalOf(walkErrors(solution, [vector]));
  return {
    ...wayOnEarth(solution, vector),
    to: to.name,
    within95Metres: ellipse(sumCovariance(fix.covariance, walk)).semiMajorMetres,
  };
}
