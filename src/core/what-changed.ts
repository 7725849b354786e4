import { signedDifference } from './angle';
import { way } from './home';
import type { North } from './north';
import type { Solution } from './solve';
import type { Degrees, Metres } from './units';

/** What another setting of the norths does to an outing whose readings stay as they were read. */
export interface NorthsChange {
  readonly legs: number;
  /** The way home as it is shown, before and after, in degrees from the north that each is shown in. */
  readonly before: { readonly degrees: Degrees; readonly north: North };
  readonly after: { readonly degrees: Degrees; readonly north: North };
  readonly metresBefore: Metres;
  readonly metresAfter: Metres;
  /** How far the needle's bearing home turned, clockwise positive. */
  readonly needleTurnDegrees: Degrees;
  /** How far the traveller's place moves on a map; null where one of the two knows no true north. */
  readonly placeMovedMetres: Metres | null;
}

const shown = (solution: Solution) => {
  const home = way(solution, solution.current, 0);
  const wanted = solution.outing.show.north;
  const north = home.bearing[wanted] === null ? 'magnetic' : wanted;
  return { home, bearing: { degrees: home.bearing[north] ?? 0, north } as const };
};

/** Compares two solutions of the same readings; null when nothing that a person would see differs. */
export function whatChanged(before: Solution, after: Solution): NorthsChange | null {
  const [was, is] = [shown(before), shown(after)];
  const bothTrue = before.working === 'true' && after.working === 'true';
  const moved = Math.hypot(
    after.traverse.east[after.current]! - before.traverse.east[before.current]!,
    after.traverse.north[after.current]! - before.traverse.north[before.current]!,
  );
  const placeMovedMetres = bothTrue ? moved : null;
  const needleTurnDegrees = signedDifference(
    was.home.bearing.magnetic ?? 0,
    is.home.bearing.magnetic ?? 0,
  );
  const same =
    was.bearing.north === is.bearing.north &&
    Math.abs(signedDifference(was.bearing.degrees, is.bearing.degrees)) < 0.05 &&
    Math.abs(was.home.distanceMetres - is.home.distanceMetres) < 0.5 &&
    (placeMovedMetres ?? 0) < 0.5;
  if (same && before.working === after.working) return null;
  return {
    legs: after.traverse.legs,
    before: was.bearing,
    after: is.bearing,
    metresBefore: was.home.distanceMetres,
    metresAfter: is.home.distanceMetres,
    needleTurnDegrees,
    placeMovedMetres,
  };
}
