import { knowsPlaces } from '../model/outing';
import { nameKey } from '../readings/name';
import { ellipse, type Ellipse } from '../errors/ellipse';
import type { Walked } from '../errors/means';
import { bearingVariance } from '../errors/own-errors';
import type { FeatureKind } from '../entries/feature';
import { backBearing } from '../units/angle';
import { polar, vectorBetween, type PlanePoint } from '../units/plane';
import { radians, type Degrees } from '../units/units';
import { crossing as meeting } from './fix/point/cuts';
import { sightDegrees, sightedWith } from './fix/sighting';
import { sharedOf, StationsAround } from './fix/sights';
import { walkLog } from './log-walk';
import { sightLine, type BearingReadAt } from './observations/bearing';
import type { LogStation, Mark } from './observations/observation';
import { pointFix } from './observations/point-fix';
import { sharedScale } from './shared-scale';
import type { Solution } from './solution';
import { nth } from '../units/nth';

/**
 * Landmarks sighted from stations. A landmark is the place asked for by bearings that were read at
 * stations of the log, as a fix is asked for by bearings to places on the map: the estimation is
 * the same (observations/point-fix.ts). Stations that share legs are wrong together, and so are
 * sightings with one compass: their covariances count in full.
 */
interface Sighting {
  /** The entry of the sighting, and the station it was taken from. */
  readonly entry: number;
  readonly station: number;
  /** From the frame's north. */
  readonly bearingDegrees: Degrees;
  readonly walked: Walked;
}

/** Where a landmark is. */
interface LandmarkPlace extends PlanePoint {
  readonly uncertainty: Ellipse;
}

export interface Landmark {
  readonly name: string;
  readonly kind: FeatureKind | undefined;
  readonly sightings: readonly Sighting[];
  /** Null for a single sighting, or where the lines of sight don't cross well. */
  readonly place: LandmarkPlace | null;
}

/** Lines of sight that cross at less give no place worth drawing. Common practice, no source. */
const LEAST_CROSSING_DEGREES = 12;

/** Landmarks with the sightings to each; names are the same in any letter case and spacing. */
export function landmarkPlaces(solution: Solution): Landmark[] {
  const found = new Map<string, { name: string; kind?: FeatureKind; sightings: Sighting[] }>();
  const { norths } = solution.places.frame;
  for (const { entry, index, readAt: station, inForce } of walkLog(solution)) {
    if (entry.kind !== 'see') continue;
    const read = sightDegrees(solution, entry.bearing);
    if (read === null) continue;
    const bearing = entry.back ? backBearing(read) : read;
    const key = nameKey(entry.what);
    const landmark = found.get(key) ?? { name: entry.what, kind: entry.thing, sightings: [] };
    landmark.kind ??= entry.thing;
    landmark.sightings.push({
      entry: index,
      station,
      bearingDegrees: bearing,
      // A landmark is sighted as one that a fix is taken of, however legs are followed.
      walked: sightedWith(inForce, entry.bearing, norths),
    });
    found.set(key, landmark);
  }
  const known = knowsPlaces(solution.outing) ? solution.tools?.marksOf(solution) : null;
  return [...found.values()].map(({ name, kind, sightings }) => ({
    name,
    kind,
    sightings,
    place: onMap(known?.get(nameKey(name))) ?? crossing(solution, sightings),
  }));
}

/** The place that a map tells, with what it is worth. */
function onMap(mark: Mark | undefined): LandmarkPlace | null {
  if (!mark) return null;
  const { east, north, sigmaMetres } = mark;
  const uncertainty = ellipse({ xx: sigmaMetres ** 2, xy: 0, yy: sigmaMetres ** 2 });
  return { east, north, uncertainty };
}

/** The place where lines of sight cross, and its uncertainty; null where they don't. */
function crossing(solution: Solution, all: readonly Sighting[]): LandmarkPlace | null {
  if (!crossWell(all)) return null;
  const around = new StationsAround(solution.places, 0);
  const sightings = fewer(all);
  const observations = sightings.map((sighting) => readAtStation(solution, sighting, around));
  const guess = bestCrossing(observations);
  const options = { stations: around.covariance, compassHere: 0 };
  const found = guess && pointFix(observations, guess, options);
  if (!found?.settled) return null;
  const ahead = sightings.every(({ station, bearingDegrees: bearing }) => {
    const direction = polar(bearing, 1);
    const toward = vectorBetween(solution.places.at(station), found.place);
    return toward.east * direction.east + toward.north * direction.north > 0;
  });
  return ahead ? { ...found.place, uncertainty: ellipse(found.covariance) } : null;
}

/** A sighting as a bearing that was read at a mark, which is a station of the log. */
function readAtStation(
  { places, errors }: Solution,
  { station, bearingDegrees: bearing, walked }: Sighting,
  around: StationsAround,
): BearingReadAt {
  const of = around.from(station);
  return {
    kind: 'bearing',
    mark: { name: '', sigmaMetres: 0, ...places.at(station), station: of ?? THE_START },
    from: null,
    back: true,
    bearing: radians(bearing),
    variance: bearingVariance(walked, errors),
    shared: sharedOf(walked, sharedScale(errors, places.frame.norths), 'bearing'),
  };
}
/** The start is where it is: places are measured from there. */
const THE_START: LogStation = { key: 0, effects: [] };

/** Where the two lines of sight meet that cross best; null where none do. */
function bestCrossing(observations: readonly BearingReadAt[]): PlanePoint | null {
  let [best, most]: [PlanePoint | null, number] = [null, 0];
  for (const [i, one] of observations.entries()) {
    for (const other of observations.slice(i + 1)) {
      const sine = Math.abs(Math.sin(one.bearing - other.bearing));
      if (sine <= most || one.mark.station?.key === other.mark.station?.key) continue;
      const met = meeting(sightLine(one), sightLine(other));
      if (met) [best, most] = [met.place, sine];
    }
  }
  return best;
}

/** Sightings that are solved together: the matrix grows with their square, its solution more. */
const MOST_TOGETHER = 12;

/** So many of the sightings, spread over their directions. */
function fewer(sightings: readonly Sighting[]): readonly Sighting[] {
  if (sightings.length <= MOST_TOGETHER) return sightings;
  const sorted = [...sightings].sort((a, b) => a.bearingDegrees - b.bearingDegrees);
  return Array.from({ length: MOST_TOGETHER }, (_, i) =>
    nth(sorted, Math.round((i * (sorted.length - 1)) / (MOST_TOGETHER - 1))),
  );
}

/** Half a turn: a line of sight and its reverse cross any other alike. */
const HALF_TURN = 180;

/**
 * True when two sightings from different stations cross at an angle that gives a place. The lines
 * are sorted by direction, twice round; those that cross one well stand together behind it.
 */
function crossWell(sightings: readonly Sighting[]): boolean {
  const lines = sightings
    .map(({ station, bearingDegrees }) => ({ station, direction: bearingDegrees % HALF_TURN }))
    .sort((a, b) => a.direction - b.direction);
  const count = lines.length;
  const at = (i: number) => {
    const { station, direction } = nth(lines, i % count);
    return { station, direction: direction + HALF_TURN * Math.floor(i / count) };
  };
  let first = 0;
  // How many lines up to here, each from another station than the line before it.
  let [changes, changesAtFirst] = [0, 0];
  for (let i = 0, last = 0; i < count; i++) {
    const { station, direction } = at(i);
    while (first < 2 * count && at(first).direction < direction + LEAST_CROSSING_DEGREES) {
      first++;
      if (first < 2 * count && at(first).station !== at(first - 1).station) changesAtFirst++;
    }
    const beyond = direction + HALF_TURN - LEAST_CROSSING_DEGREES;
    while (last + 1 < 2 * count && at(last + 1).direction <= beyond) {
      last++;
      if (at(last).station !== at(last - 1).station) changes++;
    }
    if (first > last) continue;
    if (at(first).station !== station || changes > changesAtFirst) return true;
  }
  return false;
}
