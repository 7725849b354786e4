import { normalised, signedDifference } from './angle';
import type { Covariance } from './error-model';
import { missFor } from './home';
import { fail, ok, type Result } from './result';
import { normalBelow } from './normal';
import type { Solution } from './solve';
import { degrees, radians, type Degrees, type Metres } from './units';

/**
 * Aiming off onto a line through home (path, shore, fence).
 *
 * | symbol | meaning                                                       | equation                    |
 * | h      | heading on which the line is reached                          |                             |
 * | a      | azimuth of the line, either way                               |                             |
 * | σ      | doubt across the heading where the line is reached            | √(n'·C·n)                   |
 * | σ_line | the same along the line                                       | σ / |sin(h - a)|            |
 * | A      | how far to one side to aim, so that the side is sure           | 1.645·σ_line (95 %)         |
 *
 * A changes h, and so it is worked out over and over until it moves less than 0.1 m.
 */
const Z_95 = 1.6449;
/** About 20°: on a flatter heading one may cross the line without noticing, and A grows past sense. */
const LEAST_SINE = 0.34;
const MOST_ROUNDS = 60;
const SETTLED_METRES = 0.1;

export interface AimOff {
  /** From the working north. */
  readonly bearingDegrees: Degrees;
  readonly distanceMetres: Metres;
  /** How far along the line home then lies: about this, at most twice. */
  readonly alongMetres: Metres;
  readonly turn: 'left' | 'right';
  /** The direction to walk along the line, from the working north. */
  readonly lineDegrees: Degrees;
  readonly miss: Covariance;
}

export type AimOffFault =
  | { readonly code: 'too-flat'; readonly angleDegrees: Degrees }
  | { readonly code: 'at-home' }
  | { readonly code: 'not-settled' };

/**
 * The aimed-off way from a station to home on a line of azimuth `lineDegrees` (from the working north), so far to one
 * side of home, as seen by the walker, that nineteen times in twenty the line is met on that side.
 */
export function aimOff(
  solution: Solution,
  from: number,
  to: number,
  lineDegrees: Degrees,
  side: 'left' | 'right',
): Result<AimOff, AimOffFault> {
  const { east, north } = solution.traverse;
  const dx = east[to]! - east[from]!;
  const dy = north[to]! - north[from]!;
  if (Math.hypot(dx, dy) < 1) return fail({ code: 'at-home' });
  const straight = degrees(Math.atan2(dx, dy));
  // Of the line's two directions the one that lies to the wanted side of the walker.
  const toRight = signedDifference(straight, lineDegrees) > 0;
  const direction = normalised(toRight === (side === 'right') ? lineDegrees : lineDegrees + 180);
  const [ux, uy] = [Math.sin(radians(direction)), Math.cos(radians(direction))];
  let along = 0;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const [x, y] = [dx + along * ux, dy + along * uy];
    const heading = degrees(Math.atan2(x, y));
    const sine = Math.abs(Math.sin(radians(heading - lineDegrees)));
    if (sine < LEAST_SINE) {
      return fail({ code: 'too-flat', angleDegrees: degrees(Math.asin(sine)) });
    }
    const miss = missFor(solution, from, to, x, y);
    const [nx, ny] = [Math.cos(radians(heading)), -Math.sin(radians(heading))];
    const across = Math.sqrt(nx * nx * miss.xx + 2 * nx * ny * miss.xy + ny * ny * miss.yy);
    const wanted = (Z_95 * across) / sine;
    if (Math.abs(wanted - along) < SETTLED_METRES) {
      return ok({
        bearingDegrees: normalised(heading),
        distanceMetres: Math.hypot(x, y),
        alongMetres: wanted,
        turn: side === 'right' ? 'left' : 'right',
        lineDegrees: normalised(direction + 180),
        miss,
      });
    }
    along = wanted;
  }
  return fail({ code: 'not-settled' });
}

/** How far along the line one follows it at most, in metres: twice the aim. */
export const mostAlong = (aim: AimOff): Metres => 2 * aim.alongMetres;

/**
 * Chance that home comes within sight when the line is followed as far as `mostAlong`: the place where it is met lies normally
 * about the aim, with a sigma of aim/1.645. Taken on the heading that was aimed at; walks say the same within 1 %
 * (tests/core/monte-carlo.test.ts).
 */
export function chanceByLine({ alongMetres }: AimOff, sight: Metres): number {
  const reach = ((alongMetres + sight) * Z_95) / alongMetres;
  return normalBelow(reach) - normalBelow(-reach);
}
