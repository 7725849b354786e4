import { compassPointWords } from '@/core/entries/describe';
import { positionErrorEllipse } from '@/core/navigation/position-error';
import { roundUpToFive } from '@/core/navigation/rounding';
import { wayHome, type Way } from '@/core/navigation/ways/way';
import { shownBearing } from '@/core/north/norths';
import { northShown, stationName, type Solution } from '@/core/survey/solution';
import { threeDigits } from '@/core/units/angle';
import type { North } from '@/core/units/bearing';
import type { Metres } from '@/core/units/units';
import { metresText, SHARED_WORDS } from '@/views/shared/words/words';
import { WAY_WORDS } from './words';

/** The figures of a stretch as they are said. */
export interface HomeFigures {
  readonly way: Way;
  readonly bearing: string;
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
  return { way, bearing: threeDigits(degrees), north, to, place, within95Metres };
}

/** The figures of the straight way home. */
export function homeFigures(solution: Solution): HomeFigures {
  const place = stationName(solution, 0);
  const { semiMajorMetres } = positionErrorEllipse(solution, solution.current, 0);
  return stretchFigures(solution, wayHome(solution), place, place, semiMajorMetres);
}

/** What they are in words: how far, which way, how sure. */
export function homeWords({ way, to, place, within95Metres }: HomeFigures) {
  const { paces, distanceMetres, compassPoint } = way;
  return {
    walk: WAY_WORDS.walk(metresText(distanceMetres), paces === null ? null : Math.round(paces)),
    to: WAY_WORDS.to(compassPointWords(compassPoint), to),
    sure: SHARED_WORDS.within(roundUpToFive(within95Metres), place),
  };
}
