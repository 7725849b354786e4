import type { Covariance } from '../../errors/covariance';
import { detectionChance } from '../../errors/detection';
import { stationName, type Solution } from '../../survey/solution';
import { stationMarks } from '../../survey/station-marks';
import type { PlanePoint } from '../../units/plane';
import type { Metres } from '../../units/units';
import { missOf, totalOf, walkErrors } from '../walk-errors';

/** A way on which marks are recognised: each ends the error, and the next begins at it. */
export interface ByMarks {
  /** The last mark before home, and the chance that home comes in sight from there. */
  readonly last: string;
  readonly chance: number;
  /** The mark that is hardest to come upon, and the chance that it comes in sight. */
  readonly hardest: string;
  readonly hardestChance: number;
}

/** What recognising the marks makes of the way back along the legs; null without any. */
export function chanceByMarks(solution: Solution, rangeMetres: Metres): ByMarks | null {
  const seen = markedStretches(solution).map(({ to, positionError }) => ({
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

/** From one mark to the next on the way, each come upon by its own error alone. */
interface MarkedStretch {
  readonly to: string;
  readonly positionError: Covariance;
}

/** The stretches of the way back between stations that were named or marked, and home. */
function markedStretches(solution: Solution): MarkedStretch[] {
  const { legs, places, current } = solution;
  const marks = stationMarks(solution);
  const found: MarkedStretch[] = [];
  let [from, vectors]: [number, PlanePoint[]] = [current, []];
  for (const leg of legs.pathTo(current).reverse()) {
    vectors.push(places.relative(leg.to, leg.from));
    const isNamed = leg.from === 0 || legs.leg(leg.from).reading.to !== undefined;
    const isMark = isNamed || marks.has(leg.from);
    if (!isMark) continue;
    const walk = walkErrors(solution, vectors);
    const positionError = totalOf(missOf(places.relative(from, leg.from), walk));
    found.push({ to: stationName(solution, leg.from), positionError });
    [from, vectors] = [leg.from, []];
  }
  return found;
}
