import { ellipse } from '../../errors/ellipse';
import { planePointOf } from '../../place/geodesic';
import { azimuthOf, lengthOf, ORIGIN, vectorBetween } from '../../units/plane';
import { radians, type Degrees, type Metres } from '../../units/units';
import type { EarthFix } from './on-earth';
import type { BearingReadAt } from '../observations/bearing';
import { pointFix, type PointOptions } from '../observations/point-fix';
import type { KnownMark } from './sights';

/** A place that would help a fix, where to look for it, and what would be left of the ellipse. */
export interface NextMark {
  readonly mark: KnownMark;
  /** From true north. */
  readonly bearingDegrees: Degrees;
  readonly metres: Metres;
  readonly semiMajorMetres: Metres;
}

/** Farther than this little can be distinguished by eye. Common practice, no source. */
const FARTHEST_METRES: Metres = 30_000;
/** Less of a gain is not worth the reading. */
const WORTH_IT = 0.9;

/** The known place whose bearing would make a fix better than any other; null where none does. */
export function nextMark(
  { position, fix, observations }: EarthFix,
  known: readonly KnownMark[],
  options: PointOptions,
): NextMark | null {
  const like = observations.find(
    (each): each is BearingReadAt => each.kind === 'bearing' && each.from === null && !each.back,
  );
  if (!like) return null;
  let best: NextMark | null = null;
  for (const mark of known) {
    const point = planePointOf(position, mark.position);
    const metres = lengthOf(point);
    const isSighted = fix.bearings.some(
      (each) => lengthOf(vectorBetween(each.mark, point)) < SAME_METRES,
    );
    if (isSighted || metres > FARTHEST_METRES || metres < SAME_METRES) continue;
    const bearingDegrees = azimuthOf(point);
    const sight: BearingReadAt = {
      ...like,
      mark: { name: mark.name, sigmaMetres: mark.sigmaMetres, ...point },
      bearing: radians(bearingDegrees),
    };
    const better = pointFix([...observations, sight], ORIGIN, options);
    if (!better) continue;
    const { semiMajorMetres } = ellipse(better.covariance);
    if (semiMajorMetres > WORTH_IT * fix.ellipse.semiMajorMetres) continue;
    if (best && best.semiMajorMetres <= semiMajorMetres) continue;
    best = { mark, bearingDegrees, metres, semiMajorMetres };
  }
  return best;
}
/** Places nearer to each other are one. */
const SAME_METRES: Metres = 10;
