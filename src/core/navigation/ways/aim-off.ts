import { varianceAlong, type Covariance } from '../../errors/covariance';
import { normalBelow } from '../../errors/normal';
import type { RelativePlace } from '../../survey/places';
import { normalised, signedDifference } from '../../units/angle';
import { azimuthOf, lengthOf, polar, sumOf, type PlanePoint } from '../../units/plane';
import { fail, ok, type Result } from '../../units/result';
import { degrees, radians, type Degrees, type Metres } from '../../units/units';
import { missOf, totalOf, walkErrors, type WalkBasis } from '../walk-errors';

/**
 * Aiming off onto a line through home (path, shore, fence).
 *
 * | symbol | meaning                                              | equation               |
 * | D      | straight distance home                               |                        |
 * | φ      | how far the heading is turned to the chosen side     | D·sin φ = 1.645·√V(φ)  |
 * | n      | unit vector across that heading                      |                        |
 * | V      | variance, across it, of the track where it passes    | n'·M·n                 |
 * |        | home; M is the miss of a walk of D·cos φ along it    |                        |
 * | ψ      | angle at which the track meets the line              |                        |
 * | A      | how far along the line home then is                  | D·sin φ / sin ψ        |
 *
 * The track passes home on the chosen side with 95 %. How far is walked does not enter: one goes on
 * until the line. A few rounds settle φ.
 */
const Z_95 = 1.6449;
/** At a flatter angle one may cross the line unnoticed. Common practice, no source. */
const LEAST_MEETING_DEGREES = 20;
const MOST_ROUNDS = 40;
const SETTLED_RADIANS = 1e-7;
/** Nearer to home than this there is nothing to aim off. */
const AT_HOME_METRES = 1;

export interface AimOff {
  /** From the frame's north. */
  readonly bearingDegrees: Degrees;
  readonly distanceMetres: Metres;
  /** How far along the line home then is: about this, at most twice. */
  readonly alongMetres: Metres;
  readonly turn: 'left' | 'right';
  /** The direction to walk along the line, from the frame's north. */
  readonly lineDegrees: Degrees;
  readonly positionError: Covariance;
}

export type AimOffFault =
  | { readonly code: 'too-flat'; readonly angleDegrees: Degrees }
  | { readonly code: 'at-home' }
  | { readonly code: 'not-settled' };

/**
 * The aimed-off way from a station to home on a line of azimuth `lineDegrees` (from the frame's
 * north), so far to one side of home, as the walker sees it, that the line is met on that side
 * with 95 %.
 */
export function aimOff(
  solution: WalkBasis,
  from: number,
  to: number,
  lineDegrees: Degrees,
  side: 'left' | 'right',
): Result<AimOff, AimOffFault> {
  const straight = solution.places.relative(from, to);
  if (lengthOf(straight) < AT_HOME_METRES) return fail({ code: 'at-home' });
  const turn = turnToSide(solution, straight, side);
  if (turn === null) return fail({ code: 'not-settled' });
  const toRight = side === 'right';
  const heading = normalised(azimuthOf(straight) + degrees(toRight ? turn : -turn));
  const sine = Math.abs(Math.sin(radians(heading - lineDegrees)));
  if (sine < Math.sin(radians(LEAST_MEETING_DEGREES))) {
    return fail({ code: 'too-flat', angleDegrees: degrees(Math.asin(sine)) });
  }
  // Of the line's two directions, the one on the wanted side of the walker.
  const lineToRight = signedDifference(heading, lineDegrees) > 0;
  const direction = normalised(lineToRight === toRight ? lineDegrees : lineDegrees + 180);
  const alongMetres = (lengthOf(straight) * Math.sin(turn)) / sine;
  const aim = sumOf(straight, polar(direction, alongMetres));
  return ok({
    bearingDegrees: heading,
    distanceMetres: lengthOf(aim),
    alongMetres,
    turn: toRight ? 'left' : 'right',
    lineDegrees: normalised(direction + 180),
    positionError: totalOf(missOf(straight, walkErrors(solution, [aim]))),
  });
}

/** How far to turn to a side so that the track passes home on it with 95 %, in radians. */
function turnToSide(
  solution: WalkBasis,
  straight: RelativePlace,
  side: 'left' | 'right',
): number | null {
  const metres = lengthOf(straight);
  const azimuth = azimuthOf(straight);
  let turn = 0;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const heading = azimuth + degrees(side === 'right' ? turn : -turn);
    const abreast = polar(heading, metres * Math.cos(turn));
    const miss = totalOf(missOf(straight, walkErrors(solution, [abreast])));
    const sine = (Z_95 * Math.sqrt(varianceAlong(miss, polar(heading + 90, 1)))) / metres;
    if (sine >= 1) return null;
    const next = Math.asin(sine);
    if (Math.abs(next - turn) < SETTLED_RADIANS) return next;
    turn = next;
  }
  return null;
}

/** How far to follow the line at most: twice the aim. */
export const longestAlong = (aim: AimOff): Metres => 2 * aim.alongMetres;

/**
 * Chance that home comes within sight when the line is followed as far as `longestAlong`: that the
 * track meets it neither beyond home, by more than one sees, nor too far out. Each is the chance
 * that the track passes a point of the line on one side.
 * Simulated walks agree within 1 % (tests/core/errors/random-walks.test.ts).
 */
export function detectionAlongLine(
  solution: WalkBasis,
  from: number,
  to: number,
  aim: AimOff,
  rangeMetres: Metres,
): number {
  const straight = solution.places.relative(from, to);
  const outward = normalised(aim.lineDegrees + 180);
  const passes = (along: Metres) =>
    passesBefore(solution, straight, aim, sumOf(straight, polar(outward, along)));
  return Math.max(0, passes(-rangeMetres) - passes(longestAlong(aim) + rangeMetres));
}

/** Chance that the track passes a point on the side to which it aims off. */
function passesBefore(
  solution: WalkBasis,
  straight: RelativePlace,
  { bearingDegrees, turn }: AimOff,
  point: PlanePoint,
): number {
  const across = polar(bearingDegrees + (turn === 'left' ? 90 : -90), 1);
  const onward = polar(bearingDegrees, 1);
  const abreast = point.east * onward.east + point.north * onward.north;
  const aside = -(point.east * across.east + point.north * across.north);
  const walk = walkErrors(solution, [polar(bearingDegrees, Math.max(0, abreast))]);
  return normalBelow(aside / Math.sqrt(varianceAlong(totalOf(missOf(straight, walk)), across)));
}
