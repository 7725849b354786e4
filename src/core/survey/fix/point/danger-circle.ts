import { lengthOf, vectorBetween, type PlanePoint } from '../../../units/plane';
import type { Metres } from '../../../units/units';

/** The circle through three points. */
interface Circle {
  readonly centre: PlanePoint;
  readonly radius: Metres;
}

/** The circle through three points; null where they lie on one line. */
function circleThrough(a: PlanePoint, b: PlanePoint, c: PlanePoint): Circle | null {
  const [u, v] = [vectorBetween(a, b), vectorBetween(a, c)];
  const twice = 2 * (u.east * v.north - u.north * v.east);
  const [uu, vv] = [lengthOf(u) ** 2, lengthOf(v) ** 2];
  const east = (v.north * uu - u.north * vv) / twice;
  const north = (u.east * vv - v.east * uu) / twice;
  const radius = Math.hypot(east, north);
  if (!Number.isFinite(radius) || radius > STRAIGHT * Math.sqrt(Math.max(uu, vv))) return null;
  return { centre: { east: a.east + east, north: a.north + north }, radius };
}
/** Points on a circle this many times their distance are on one line. */
const STRAIGHT = 1e3;

/**
 * How near a traveller is to the circle through the marks, over its radius: 0 on it. There the
 * bearings with an unknown error of the compass fit any place of the circle. With more than three
 * marks, the farthest that any three tell; null where three give no circle, which is no danger.
 */
export function offDangerCircle(place: PlanePoint, marks: readonly PlanePoint[]): number | null {
  if (marks.length < 3) return null;
  let most = 0;
  for (const [i, a] of marks.entries()) {
    for (const [j, b] of marks.entries()) {
      for (const c of j > i ? marks.slice(j + 1) : []) {
        const circle = circleThrough(a, b, c);
        if (!circle) return null;
        const away = lengthOf(vectorBetween(circle.centre, place));
        most = Math.max(most, Math.abs(away - circle.radius) / circle.radius);
      }
    }
  }
  return most;
}

/** Nearer to the circle than this share of its radius is reported. Common practice, no source. */
export const DANGER_SHARE = 0.1;
