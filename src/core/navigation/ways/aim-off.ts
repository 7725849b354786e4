import { varianceAlong, type Covariance } from '../../errors/covariance';
import { normalBelow } from '../../errors/normal';
import type { Solution } from '../../survey/solution';
import { normalised, signedDifference } from '../../units/angle';
import { azimuthOf, lengthOf, polar, sumOf } from '../../units/plane';
import { fail, ok, type Result } from '../../units/result';
import { degrees, radians, type Degrees, type Metres } from '../../units/units';
import { positionErrorAlong } from '../position-error';

/**
 * Aiming off onto a line through home (path, shore, fence).
 *
 * | symbol | meaning                                              | equation             |
 * | h      | heading on which the line is reached                 |                      |
 * | a      | azimuth of the line, either way                      |                      |
 * | σ      | σ across the heading where the line is reached       | √(n'·C·n)            |
 * | σ_line | the same along the line                              | σ / |sin(h - a)|     |
 * | A      | how far to one side to aim, so that the side is sure | 1.645·σ_line (95 %)  |
 *
 * A changes h, so it is computed again until it moves less than 0.1 m.
 */
const Z_95 = 1.6449;
/** About 20°: at a flatter angle one may cross the line unnoticed, and A grows too large. */
const LEAST_SINE = 0.34;
const MOST_ROUNDS = 60;
const SETTLED_METRES = 0.1;
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
  solution: Solution,
  from: number,
  to: number,
  lineDegrees: Degrees,
  side: 'left' | 'right',
): Result<AimOff, AimOffFault> {
  const straight = solution.places.relative(from, to);
  if (lengthOf(straight) < AT_HOME_METRES) return fail({ code: 'at-home' });
  // Of the line's two directions, the one on the wanted side of the walker.
  const toRight = signedDifference(azimuthOf(straight), lineDegrees) > 0;
  const direction = normalised(toRight === (side === 'right') ? lineDegrees : lineDegrees + 180);
  let along: Metres = 0;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const aim = sumOf(straight, polar(direction, along));
    const heading = azimuthOf(aim);
    const sine = Math.abs(Math.sin(radians(heading - lineDegrees)));
    if (sine < LEAST_SINE) {
      return fail({ code: 'too-flat', angleDegrees: degrees(Math.asin(sine)) });
    }
    const error = positionErrorAlong(solution, from, to, aim);
    const across = Math.sqrt(varianceAlong(error, polar(heading + 90, 1)));
    const wanted = (Z_95 * across) / sine;
    if (Math.abs(wanted - along) < SETTLED_METRES) {
      return ok({
        bearingDegrees: heading,
        distanceMetres: lengthOf(aim),
        alongMetres: wanted,
        turn: side === 'right' ? 'left' : 'right',
        lineDegrees: normalised(direction + 180),
        positionError: error,
      });
    }
    along = wanted;
  }
  return fail({ code: 'not-settled' });
}

/** How far to follow the line at most: twice the aim. */
export const longestAlong = (aim: AimOff): Metres => 2 * aim.alongMetres;

/**
 * Chance that home comes within sight when the line is followed as far as `longestAlong`: where it
 * is met is normal about the aim, with a sigma of aim/1.645, on the heading that was aimed at.
 * Simulated walks agree within 1 % (tests/core/errors/random-walks.test.ts).
 */
export function detectionAlongLine({ alongMetres }: AimOff, rangeMetres: Metres): number {
  const reach = ((alongMetres + rangeMetres) * Z_95) / alongMetres;
  return normalBelow(reach) - normalBelow(-reach);
}
