import { shownBearing } from '../north/norths';
import { northShown, type Solution } from '../survey/solution';
import { signedDifference } from '../units/angle';
import type { Bearing } from '../units/bearing';
import { lengthOf, vectorBetween } from '../units/plane';
import type { Degrees, Metres } from '../units/units';
import { wayHome } from './ways/way';

/** What another declination setting does to an outing whose readings stay as they were read. */
export interface NorthsChange {
  readonly legs: number;
  /** The way home as it is shown, before and after. */
  readonly before: Bearing;
  readonly after: Bearing;
  readonly metresBefore: Metres;
  readonly metresAfter: Metres;
  /** How far the magnetic bearing home turned, clockwise positive. */
  readonly magneticTurnDegrees: Degrees;
  /** How far the traveller's place moves on a map; null where true north isn't known to both. */
  readonly placeMovedMetres: Metres | null;
}

/** Smaller changes than these aren't shown: nobody would see a difference. */
const LEAST_TURN_DEGREES = 0.05;
const LEAST_MOVE_METRES = 0.5;

/** Compares two solutions of the same readings; null when nothing that a person sees differs. */
export function northsChange(before: Solution, after: Solution): NorthsChange | null {
  const [homeBefore, homeAfter] = [wayHome(before), wayHome(after)];
  const was = shownBearing(homeBefore.bearing, northShown(before));
  const is = shownBearing(homeAfter.bearing, northShown(after));
  const bothTrue = before.places.frame.north === 'true' && after.places.frame.north === 'true';
  const moved = vectorBetween(before.places.at(before.current), after.places.at(after.current));
  const placeMovedMetres = bothTrue ? lengthOf(moved) : null;
  const same =
    was.north === is.north &&
    Math.abs(signedDifference(was.degrees, is.degrees)) < LEAST_TURN_DEGREES &&
    Math.abs(homeBefore.distanceMetres - homeAfter.distanceMetres) < LEAST_MOVE_METRES &&
    (placeMovedMetres ?? 0) < LEAST_MOVE_METRES;
  if (same && before.places.frame.north === after.places.frame.north) return null;
  return {
    legs: after.legs.count,
    before: was,
    after: is,
    metresBefore: homeBefore.distanceMetres,
    metresAfter: homeAfter.distanceMetres,
    magneticTurnDegrees: signedDifference(
      homeBefore.bearing.magnetic ?? 0,
      homeAfter.bearing.magnetic ?? 0,
    ),
    placeMovedMetres,
  };
}
