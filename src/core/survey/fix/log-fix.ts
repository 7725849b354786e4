import { isInsideEllipse } from '../../errors/ellipse';
import { sumCovariance } from '../../errors/covariance';
import { sharedCovariance } from '../../errors/shared-errors';
import { planePointOf } from '../../place/geodesic';
import type { Position } from '../../readings/position';
import { lengthOf } from '../../units/plane';
import type { Metres } from '../../units/units';
import { sharedScale } from '../shared-scale';
import { positionOfStation } from '../positions';
import { asWalked, type Solution } from '../solution';
import { logSights, type LogSight } from './log-sights';
import { solvedOnEarth, type EarthAnswer, type EarthFix } from './on-earth';
import type { Sight } from './sights';

/** A fix at a station of a log, and how far dead reckoning is from it. */
export interface LogFix {
  readonly station: number;
  /** The line of its last sighting. */
  readonly entry: number;
  readonly found: EarthFix;
  readonly warnings: EarthAnswer['warnings'];
  /** Null where the log has no position to compare with. */
  readonly reckoned: Comparison | null;
}

/** Dead reckoning against a fix. */
export interface Comparison {
  readonly position: Position;
  readonly apartMetres: Metres;
  /** True where their errors explain how far apart they are, 95 %. */
  readonly asExpected: boolean;
}

/** What the log says of where its start is, as a sight from there; null without a position. */
export function startSight(solution: Solution, walked: Sight['walked']): Sight | null {
  const { position, name } = solution.outing.start;
  if (!position) return null;
  const mark = { name, position, sigmaMetres: START_METRES };
  return { mark, station: 0, bearingDegrees: null, back: false, metres: null, walked };
}
/** How well a typed start is known, one sigma. Common practice, no source. */
const START_METRES: Metres = 5;

/** Where dead reckoning has a station, against a fix there; null without a position. */
export function comparedWith(
  solution: Solution,
  station: number,
  { position, fix }: EarthFix,
): Comparison | null {
  const walked = asWalked(solution);
  const { origin } = walked.places.frame;
  if (!origin || !solution.outing.start.position) return null;
  const by = planePointOf(origin, position);
  const at = walked.places.at(station);
  const apart = { east: at.east - by.east, north: at.north - by.north };
  const { covariance, shared } = walked.places.relative(0, station);
  const start = { xx: START_METRES ** 2, xy: 0, yy: START_METRES ** 2 };
  const own = sumCovariance(sumCovariance(covariance, sharedCovariance(shared)), start);
  const asExpected = isInsideEllipse(sumCovariance(own, fix.covariance), apart);
  return {
    position: positionOfStation(walked.places, station) ?? position,
    apartMetres: lengthOf(apart),
    asExpected,
  };
}

/** The fixes that the lines of a log give: at each station with enough of them. */
export function logFixes(solution: Solution): LogFix[] {
  if (solution.places.frame.north !== 'true') return [];
  const byStation = new Map<number, LogSight[]>();
  for (const sight of logSights(solution)) {
    byStation.set(sight.station, [...(byStation.get(sight.station) ?? []), sight]);
  }
  const scale = sharedScale(solution.errors, solution.places.frame.norths);
  return [...byStation].flatMap(([station, sights]): LogFix[] => {
    const asked = { sights: sights.map(nowHere), scale, around: null, solveCompass: false };
    const { found, warnings } = solvedOnEarth(asked);
    if (!found) return [];
    const entry = Math.max(...sights.map((sight) => sight.entry));
    return [{ station, entry, found, warnings, reckoned: comparedWith(solution, station, found) }];
  });
}

const nowHere = (sight: Sight): Sight => ({ ...sight, station: null });
