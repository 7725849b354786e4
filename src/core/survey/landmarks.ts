import type { Covariance } from '../errors/covariance';
import { NO_COVARIANCE } from '../errors/covariance';
import { knowsPlaces } from '../model/outing';
import { nameKey } from '../readings/name';
import type { Mark } from './fix/point/observation';
import { ellipse, type Ellipse } from '../errors/ellipse';
import type { Walked } from '../errors/means';
import { bearingVariance } from '../errors/own-errors';
import { effectOf, joinedSums } from '../errors/shared-errors';
import { whiten } from '../errors/whiten';
import type { FeatureKind } from '../entries/feature';
import { backBearing } from '../units/angle';
import { lengthOf, polar, vectorBetween, type PlanePoint } from '../units/plane';
import { radians, type Degrees } from '../units/units';
import { aimOfSight, sightDegrees, sightedWith, sightingMeans } from './fix/sighting';
import { walkLog } from './log-walk';
import { sharedAlong } from './shared-along';
import { sharedScale } from './shared-scale';
import type { Solution } from './solution';

/**
 * Landmarks sighted from stations.
 *
 * | symbol | meaning                                      | unit    | equation                    |
 * | P_i    | station of sighting i, b_i its bearing       | m, rad  |                             |
 * | n_i    | normal of the line of sight                  | 1       | (cos b, -sin b)             |
 * | d_i    | distance from P_i to the landmark            | metres  |                             |
 * | Q_ij   | covariance across lines of sight i and j: of | metres² | n_i'·C(P_i, P_j)·n_j        |
 * |        | their stations, of what path and sighting    |         | + Σ σ²·(n_i·J_i)(n_j·J_j)   |
 * |        | share, and of each reading by itself         |         | + (σ_b·d_i)² for i = j      |
 * | x      | the landmark: least squares of               | metres  | (A'Q⁻¹A)⁻¹A'Q⁻¹(n·P)        |
 * |        | n_i·(x - P_i) = 0, with rows n_i' in A       |         |                             |
 *
 * Two rounds: the first takes all d_i alike. Stations that share legs are wrong together, and so
 * are sightings with one compass: their covariances count in full. Source: least squares of
 * bearings, as in Mikhail and Ackermann, Observations and Least Squares, 1976 (memory).
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
  const { state, follow } = sightingMeans(solution);
  for (const { entry, index, readAt: station } of walkLog(solution)) {
    follow(entry);
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
      walked: sightedWith({ ...state, aim: aimOfSight(state) }, entry.bearing),
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
  const { places } = solution;
  if (!crossWell(all)) return null;
  const sightings = fewer(all);
  const first = leastSquares(solution, sightings, null);
  const found = first && leastSquares(solution, sightings, first.point);
  if (!found) return null;
  const ahead = sightings.every(({ station, bearingDegrees: bearing }) => {
    const direction = polar(bearing, 1);
    const toward = vectorBetween(places.at(station), found.point);
    return toward.east * direction.east + toward.north * direction.north > 0;
  });
  return ahead ? { ...found.point, uncertainty: ellipse(found.covariance) } : null;
}

/** Sightings that are solved together: the matrix grows with their square, its solution more. */
const MOST_TOGETHER = 12;

/** So many of the sightings, spread over their directions. */
function fewer(sightings: readonly Sighting[]): readonly Sighting[] {
  if (sightings.length <= MOST_TOGETHER) return sightings;
  const sorted = [...sightings].sort((a, b) => a.bearingDegrees - b.bearingDegrees);
  return Array.from(
    { length: MOST_TOGETHER },
    (_, i) => sorted[Math.round((i * (sorted.length - 1)) / (MOST_TOGETHER - 1))]!,
  );
}

/** A line of sight, with all that its place depends on. */
interface Line {
  readonly station: number;
  readonly normal: PlanePoint;
  readonly from: PlanePoint;
  /** Variance of the reading by itself, across the line where the landmark is. */
  readonly own: number;
  readonly covariance: Covariance;
  /** How far one sigma of each shared error moves the line, by key. */
  readonly shared: ReadonlyMap<string, number>;
}

function lineOf(solution: Solution, sighting: Sighting, guess: PlanePoint | null): Line {
  const { places, errors } = solution;
  const { station, bearingDegrees: bearing, walked } = sighting;
  const b = radians(bearing);
  const normal = { east: Math.cos(b), north: -Math.sin(b) };
  const from = places.at(station);
  const metres = guess ? Math.max(1, lengthOf(vectorBetween(from, guess))) : 1;
  const own = bearingVariance(walked, errors) * metres * metres;
  if (!guess) return { station, normal, from, own, covariance: NO_COVARIANCE, shared: new Map() };
  const place = places.relative(0, station);
  const scale = sharedScale(errors, places.frame.norths);
  const along = sharedAlong(polar(bearing, metres), walked, scale).filter(
    ({ error }) => error.of === 'bearing',
  );
  const shared = joinedSums(place.shared, along).map((sum) => {
    const { east, north } = effectOf(sum);
    const across = normal.east * east + normal.north * north;
    return [sum.error.key, sum.error.sigma * across] as const;
  });
  return { station, normal, from, own, covariance: place.covariance, shared: new Map(shared) };
}

/** Covariance across two lines of sight: of their stations, and of what they share. */
function covarianceOfLines({ places }: Solution, one: Line, other: Line): number {
  const { normal: a } = one;
  const { normal: b } = other;
  let sum = 0;
  // The stations' own: what their paths from the start have in common, by the vector between them.
  const { covariance: apart } = places.relative(one.station, other.station);
  const common = (of: keyof Covariance) =>
    (one.covariance[of] + other.covariance[of] - apart[of]) / 2;
  sum += a.east * b.east * common('xx') + a.north * b.north * common('yy');
  sum += (a.east * b.north + a.north * b.east) * common('xy');
  for (const [key, effect] of one.shared) sum += effect * (other.shared.get(key) ?? 0);
  return sum;
}

/** One round of the adjustment, with distances from an earlier guess; null where it has none. */
function leastSquares(
  solution: Solution,
  sightings: readonly Sighting[],
  guess: PlanePoint | null,
): { point: PlanePoint; covariance: Covariance } | null {
  const lines = sightings.map((sighting) => lineOf(solution, sighting, guess));
  const matrix = lines.map((one, i) =>
    lines.map((other, j) =>
      i === j
        ? one.own + (guess ? covarianceOfLines(solution, one, one) : 0)
        : guess
          ? covarianceOfLines(solution, one, other)
          : 0,
    ),
  );
  const whitened = whiten(
    matrix,
    lines.map(({ normal, from }) => [
      normal.east,
      normal.north,
      normal.east * from.east + normal.north * from.north,
    ]),
  );
  if (!whitened) return null;
  let [xx, xy, yy, x, y] = [0, 0, 0, 0, 0];
  for (const [east = 0, north = 0, across = 0] of whitened) {
    xx += east * east;
    xy += east * north;
    yy += north * north;
    x += east * across;
    y += north * across;
  }
  const determinant = xx * yy - xy * xy;
  const covariance = { xx: yy / determinant, xy: -xy / determinant, yy: xx / determinant };
  const point = {
    east: covariance.xx * x + covariance.xy * y,
    north: covariance.xy * x + covariance.yy * y,
  };
  if (!Number.isFinite(point.east) || !Number.isFinite(point.north)) return null;
  return { point, covariance };
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
    const { station, direction } = lines[i % count]!;
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
