import { lengthOf } from '../../units/plane';
import type { Metres } from '../../units/units';
import { fitPicture, LEAST_POINTS, PARAMETERS, type ControlPoint } from './fit';
import { metresPerPixel, toPlane } from './transform';

/** A control point that disagrees with all the others. */
export interface SuspectPoint {
  readonly index: number;
  /** How far off it is by the others. */
  readonly metres: Metres;
  /** Root mean square of the others without it. */
  readonly rmsMetres: Metres;
}

/**
 * Chance that a point as good as the others would better the fit as much by being left out: the
 * tail of F with 2 and ν degrees of freedom, (1 + 2F/ν)^(-ν/2). With S the sum of squares of all n
 * points and R that of the rest, F = ((S − R)/2) / (R/ν), so that it is (R/S)^(ν/2).
 */
const chanceOf = (rest: number, whole: number, freedom: number): number =>
  Math.pow(rest / whole, freedom / 2);

/** One false alarm in a hundred pictures, whichever of the points it is. */
const FALSE_ALARMS = 0.01;
/** A finger under a magnifier is right to some pixels: nothing below is called wrong. */
const LEAST_PIXELS = 6;

/**
 * Fewer points than these leave nothing that tells a wrong one from the slant of a photograph: a
 * projective map goes through any four, and through five all but one way of being wrong.
 */
export const LEAST_TO_NAME = LEAST_POINTS.projective + 2;

/**
 * The one point that does not fit, if leaving it out makes the rest agree as a photograph would
 * have them. Null where none stands out, or too few are left over to tell.
 */
export function suspectPoint(points: readonly ControlPoint[]): SuspectPoint | null {
  if (points.length < LEAST_TO_NAME) return null;
  const kind = 'projective';
  const whole = fitPicture(points, kind);
  const scale = whole.ok && points[0] ? metresPerPixel(whole.value.toPlane, points[0].pixel) : 0;
  let best: SuspectPoint | null = null;
  for (const [index, { pixel, plane }] of points.entries()) {
    const rest = fitPicture(
      points.filter((_point, each) => each !== index),
      kind,
    );
    if (!rest.ok) continue;
    const at = toPlane(rest.value.toPlane, pixel);
    const metres = lengthOf({ east: at.east - plane.east, north: at.north - plane.north });
    const { rmsMetres } = rest.value;
    if (best === null || rmsMetres < best.rmsMetres) best = { index, metres, rmsMetres };
  }
  if (!best || best.metres < LEAST_PIXELS * scale) return null;
  if (!whole.ok) return best;
  const n = points.length;
  const freedom = 2 * (n - 1) - PARAMETERS[kind];
  const sums = [best.rmsMetres ** 2 * (n - 1), whole.value.rmsMetres ** 2 * n] as const;
  return chanceOf(...sums, freedom) < FALSE_ALARMS / n ? best : null;
}
