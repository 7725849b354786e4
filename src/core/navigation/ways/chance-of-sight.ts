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

/** The chance of a way on which marks are recognised: that each comes in sight from the last. */
export interface ByMarks {
  /** The names of the marks on the way, without home. */
  readonly marks: readonly string[];
  readonly chance: number;
}

/** What recognising the marks of a way makes of its chance; null for a way without marks. */
export function chanceByMarks({ marks }: WayHome, rangeMetres: Metres): ByMarks | null {
  if (!marks) return null;
  const chance = marks.reduce(
    (product, { positionError }) => product * detectionChance(positionError, rangeMetres),
    1,
  );
  return { marks: marks.slice(0, -1).map(({ to }) => to), chance };
}
