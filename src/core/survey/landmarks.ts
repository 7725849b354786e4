import type { Covariance } from '../errors/covariance';
import { varianceAlong } from '../errors/covariance';
import { ellipse, type Ellipse } from '../errors/ellipse';
import { bearingVariance } from '../errors/variance';
import type { Aim } from '../entries/reckoning';
import { convertedReading } from '../north/norths';
import { bearingDegrees } from '../readings/bearing';
import type { FeatureKind } from '../entries/feature';
import { lengthOf, polar, vectorBetween, type PlanePoint } from '../units/plane';
import { radians, type Degrees, type Metres } from '../units/units';
import { walkLog } from './log-walk';
import type { Places } from './places';
import type { Solution } from './solution';

/**
 * Landmarks sighted from stations.
 *
 * | symbol | meaning                                      | unit    | equation                    |
 * | P_i    | station of sighting i, b_i its bearing       | m, rad  |                             |
 * | n_i    | normal of the line of sight                  | 1       | (cos b, -sin b)             |
 * | d_i    | distance from P_i to the landmark            | metres  |                             |
 * | σ_i²   | variance across the line of sight            | metres² | (σ_b·d_i)² + n_i'·C(P_i)·n_i|
 * | x      | the landmark: least squares of               | metres  | (Σ n n'/σ²)⁻¹ Σ n (n·P)/σ²  |
 * |        | n_i·(x - P_i) = 0                            |         |                             |
 *
 * Two rounds: the first takes all d_i alike. The stations' errors are taken as independent, which
 * makes the figure a little too large for stations that share legs. Source: least squares of
 * bearings, as in Mikhail and Ackermann, Observations and Least Squares, 1976 (memory).
 */
interface Sighting {
  /** The entry of the sighting, and the station it was taken from. */
  readonly entry: number;
  readonly station: number;
  /** From the frame's north. */
  readonly bearingDegrees: Degrees;
  readonly sigmaRadians: number;
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

/** Landmarks with the sightings to each; names are the same whatever their letter case. */
export function landmarkPlaces(solution: Solution): Landmark[] {
  const { frame } = solution.places;
  const found = new Map<string, { name: string; kind?: FeatureKind; sightings: Sighting[] }>();
  let aim: Aim = 'landmark';
  for (const { entry, index, station } of walkLog(solution)) {
    if (entry.kind === 'aim') aim = entry.aim;
    if (entry.kind !== 'see') continue;
    const read = { degrees: bearingDegrees(entry.bearing), north: entry.bearing.north };
    const bearing = convertedReading(read, frame.north, frame.norths);
    if (!bearing) continue;
    const key = entry.what.toLowerCase();
    const landmark = found.get(key) ?? { name: entry.what, kind: entry.thing, sightings: [] };
    landmark.kind ??= entry.thing;
    landmark.sightings.push({
      entry: index,
      station,
      bearingDegrees: bearing.degrees,
      sigmaRadians: Math.sqrt(bearingVariance(solution.errors, aim)),
    });
    found.set(key, landmark);
  }
  return [...found.values()].map(({ name, kind, sightings }) => ({
    name,
    kind,
    sightings,
    place: crossing(solution.places, sightings),
  }));
}

/** The place where lines of sight cross, and its uncertainty; null where they don't. */
function crossing(places: Places, sightings: readonly Sighting[]): LandmarkPlace | null {
  if (!crossWell(sightings)) return null;
  const first = leastSquares(places, sightings, null);
  const found = first && leastSquares(places, sightings, first.point);
  if (!found) return null;
  const ahead = sightings.every(({ station, bearingDegrees: bearing }) => {
    const direction = polar(bearing, 1);
    const toward = vectorBetween(places.at(station), found.point);
    return toward.east * direction.east + toward.north * direction.north > 0;
  });
  return ahead ? { ...found.point, uncertainty: ellipse(found.covariance) } : null;
}

/** One round of the adjustment, with distances from an earlier guess; null where it has none. */
function leastSquares(
  places: Places,
  sightings: readonly Sighting[],
  guess: PlanePoint | null,
): { point: PlanePoint; covariance: Covariance } | null {
  let [xx, xy, yy, x, y] = [0, 0, 0, 0, 0];
  for (const { station, bearingDegrees: bearing, sigmaRadians } of sightings) {
    const b = radians(bearing);
    const normal = { east: Math.cos(b), north: -Math.sin(b) };
    const from = places.at(station);
    const distance: Metres = guess ? Math.max(1, lengthOf(vectorBetween(from, guess))) : 1;
    const ofStation = guess ? varianceAlong(places.relative(0, station).covariance, normal) : 0;
    const weight = 1 / ((sigmaRadians * distance) ** 2 + ofStation);
    const across = normal.east * from.east + normal.north * from.north;
    xx += weight * normal.east * normal.east;
    xy += weight * normal.east * normal.north;
    yy += weight * normal.north * normal.north;
    x += weight * normal.east * across;
    y += weight * normal.north * across;
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
