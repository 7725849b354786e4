import { besideLeg } from './beside-leg';
import { linePlaces } from './station-lines';
import type { Solution } from './solve';
import type { Metres } from './units';

/** Something logged on the way out that lies near the way that is walked now. */
export interface Passed {
  readonly what: string;
  /** Metres along the way until it is abreast, and to its right (left is negative). */
  readonly alongMetres: Metres;
  readonly rightMetres: Metres;
}

/** Things farther to the side than this are out of sight in most country. */
const NEAR_METRES = 40;

/** What was seen on the way out beside the way between two stations, in the order in which it is passed. */
export function onTheWay(solution: Solution, from: number, to: number): Passed[] {
  const { east, north } = solution.traverse;
  const [x1, y1] = [east[from]!, north[from]!];
  const [dx, dy] = [east[to]! - x1, north[to]! - y1];
  const length = Math.hypot(dx, dy);
  if (length < 1) return [];
  const places = linePlaces(solution);
  const passed: Passed[] = [];
  const take = (what: string, x: Metres, y: Metres) => {
    const alongMetres = ((x - x1) * dx + (y - y1) * dy) / length;
    const rightMetres = ((x - x1) * dy - (y - y1) * dx) / length;
    const beside = alongMetres > 1 && alongMetres < length - 1;
    if (beside && Math.abs(rightMetres) <= NEAR_METRES) {
      passed.push({ what, alongMetres, rightMetres });
    }
  };
  solution.outing.entries.forEach((entry, index) => {
    const leg = places.leg[index]!;
    if (entry.kind === 'leg' && entry.to && solution.stationOfLeg[leg] === leg) {
      take(entry.to, east[leg]!, north[leg]!);
    }
    if (entry.kind !== 'at' || leg === 0) return;
    const spot = besideLeg(solution, leg, entry);
    take(entry.what, spot.east, spot.north);
  });
  return passed.sort((a, b) => a.alongMetres - b.alongMetres);
}
