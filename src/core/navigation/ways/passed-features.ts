import { besideLeg } from '../../survey/beside-leg';
import { walkLog } from '../../survey/log-walk';
import type { Solution } from '../../survey/solution';
import { stationMarks } from '../../survey/station-marks';
import { lengthOf, offsetFromLine, vectorBetween, type PlanePoint } from '../../units/plane';
import type { Metres } from '../../units/units';

/** Something logged on the way out that is near the way that is walked now. */
export interface PassedFeature {
  readonly what: string;
  /** Metres along the way until it is abreast, and to its right (left is negative). */
  readonly alongMetres: Metres;
  readonly rightMetres: Metres;
}

/** Features farther to the side are out of sight in most country. Common practice, no source. */
const NEAR_METRES = 40;
/** Nearer to an end than this, a feature is at it rather than on the way. */
const END_METRES = 1;

/** What was seen on the way out beside the way between two stations, in the order of passing. */
export function passedFeatures(solution: Solution, from: number, to: number): PassedFeature[] {
  const [a, b] = [solution.places.at(from), solution.places.at(to)];
  const length = lengthOf(vectorBetween(a, b));
  if (length < END_METRES) return [];
  const passed: PassedFeature[] = [];
  const marks = stationMarks(solution);
  const take = (what: string, point: PlanePoint) => {
    const { along, right } = offsetFromLine(point, a, b);
    const onTheWay = along > END_METRES && along < length - END_METRES;
    if (onTheWay && Math.abs(right) <= NEAR_METRES) {
      passed.push({ what, alongMetres: along, rightMetres: right });
    }
  };
  for (const { entry, leg } of walkLog(solution)) {
    if (!leg) continue;
    if (entry.kind === 'leg' && !leg.returns) {
      const mark = marks.get(leg.to);
      const name = entry.to ?? (mark && `${leg.number}`);
      if (name) take(mark ? `${name}: ${mark}` : name, leg.end);
    }
    if (entry.kind === 'at') take(entry.what, besideLeg(leg, entry));
  }
  return passed.sort((one, other) => one.alongMetres - other.alongMetres);
}
