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
