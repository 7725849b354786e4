import { detectionChance } from '../../errors/detection';
import type { Solution } from '../../survey/solution';
import type { Metres } from '../../units/units';
import { detectionAlongLine } from './aim-off';
import type { WayHome } from './ways-home';

/** Chance that home comes within sight at the end of a way, or along the line that it aims at. */
export const chanceOfSight = (
  solution: Solution,
  { aim, positionError }: WayHome,
  rangeMetres: Metres,
): number =>
  aim
    ? detectionAlongLine(solution, solution.current, 0, aim, rangeMetres)
    : detectionChance(positionError, rangeMetres);

/** A way on which marks are recognised: each ends the error, and the next begins at it. */
export interface ByMarks {
  /** The last mark before home, and the chance that home comes in sight from there. */
  readonly last: string;
  readonly chance: number;
  /** The mark that is hardest to come upon, and the chance that it comes in sight. */
  readonly hardest: string;
  readonly hardestChance: number;
}

/** What recognising the marks of a way makes of it; null for a way without marks. */
export function chanceByMarks({ marks }: WayHome, rangeMetres: Metres): ByMarks | null {
  const seen = (marks ?? []).map(({ to, positionError }) => ({
    to,
    chance: detectionChance(positionError, rangeMetres),
  }));
  const [home, last] = [seen.at(-1), seen.at(-2)];
  if (!home || !last) return null;
  const hardest = seen
    .slice(0, -1)
    .reduce((one, other) => (other.chance < one.chance ? other : one));
  return {
    last: last.to,
    chance: home.chance,
    hardest: hardest.to,
    hardestChance: hardest.chance,
  };
}
