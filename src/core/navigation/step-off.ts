import { backBearing, normalised, signedDifference } from '../units/angle';
import type { Degrees } from '../units/units';

/** Aimed so far to one side, one meets the path on that side of the place. Common practice. */
const AIM_OFF_DEGREES: Degrees = 5;
/** A path that runs more along the way back than this is met nowhere in particular. */
const FLATTEST_DEGREES: Degrees = 20;

/** The way back to a path, all from one north. */
export interface WayBackToPath {
  readonly back: Degrees;
  /** Which way the path runs to the left and to the right of who comes back to it. */
  readonly left: Degrees;
  readonly right: Degrees;
  /** A bearing that meets the path to the left of the place: it is then to the right. */
  readonly aimed: Degrees;
}

/**
 * The way back of a step-off whose path runs along a bearing, either way; null where the path runs
 * so nearly along it that it says nothing.
 */
export function wayBackToPath(out: Degrees, path: Degrees): WayBackToPath | null {
  const back = backBearing(out);
  const turn = signedDifference(back, path);
  const flat = Math.min(Math.abs(turn), 180 - Math.abs(turn));
  if (flat < FLATTEST_DEGREES) return null;
  const [left, right] = turn > 0 ? [backBearing(path), path] : [path, backBearing(path)];
  return {
    back,
    left: normalised(left),
    right: normalised(right),
    aimed: normalised(back - AIM_OFF_DEGREES),
  };
}
