import { compassPointWords } from '@/core/entries/describe';
import { positionErrorEllipse } from '@/core/navigation/position-error';
import { wayHome, type Way } from '@/core/navigation/ways/way';
import { shownBearing } from '@/core/north/norths';
import { northShown, stationName, type Solution } from '@/core/survey/solution';
import { nearestCompassPoint } from '@/core/units/angle';
import type { North } from '@/core/units/bearing';
import type { Degrees, Metres } from '@/core/units/units';
import { SHARED_WORDS } from '@/views/shared/words/words';
import { bearingText, distanceText, inDegreesAndMetres } from '@/ui/units/shown';
import { WAY_WORDS } from './words';

/** The figures of a stretch as they are said. */
export interface HomeFigures {
  readonly way: Way;
  /** From the north that it is shown from. */
  readonly degrees: Degrees;
  readonly bearing: string;
  /** The same in degrees and metres, where they are not shown so: someone else may ask. */
  readonly plain: string | null;
  readonly north: North;
  /** Where it leads to, and within how many metres of what it ends. */
  readonly to: string;
  readonly place: string;
  readonly within95Metres: Metres;
}

/** The figures of a stretch that leads somewhere. */
export function stretchFigures(
  solution: Solution,
  way: Way,
  to: string,
  place: string,
  within95Metres: Metres,
): HomeFigures {
  const { degrees, north } = shownBearing(way.bearing, northShown(solution));
  const plain = inDegreesAndMetres(degrees, way.distanceMetres);
  const bearing = bearingText(degrees);
  return { way, degrees, bearing, plain, north, to, place, within95Metres };
}

/** The figures of the straight way home. */
export function homeFigures(solution: Solution): HomeFigures {
  const place = stationName(solution, 0);
  const { semiMajorMetres } = positionErrorEllipse(solution, solution.current, 0);
  return stretchFigures(solution, wayHome(solution), place, place, semiMajorMetres);
}

/** What they are in words: how far, which way, how sure. */
export function homeWords({ way, degrees, to, place, within95Metres }: HomeFigures) {
  const { paces, distanceMetres } = way;
  return {
    walk: WAY_WORDS.walk(distanceText(distanceMetres), paces === null ? null : Math.round(paces)),
    to: WAY_WORDS.to(compassPointWords(nearestCompassPoint(degrees)), to),
    sure: SHARED_WORDS.within(within95Metres, place),
  };
}
