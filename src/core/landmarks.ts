import { acrossVariance, ellipse, type Ellipse } from './error-model';
import type { Aim, Thing } from './logbook';
import { converted } from './north';
import { bearingDegrees } from './reading';
import { covarianceAt, type Solution } from './solve';
import { linePlaces } from './station-lines';
import { radians, type Degrees, type Metres } from './units';

/**
 * Landmarks sighted from stations.
 *
 * | symbol | meaning                                                  | unit    | equation                       |
 * | P_i    | station of ray i, b_i its bearing                        | m, rad  |                                |
 * | n_i    | normal of the ray                                        | 1       | (cos b, -sin b)                |
 * | d_i    | distance from P_i to the landmark                        | metres  |                                |
 * | σ_i²   | variance of the ray's place across itself                | metres² | (σ_b·d_i)² + n_i'·C(P_i)·n_i   |
 * | x      | the landmark: least squares of n_i·(x - P_i) = 0         | metres  | (Σ n n'/σ²)⁻¹ Σ n (n·P)/σ²     |
 *
 * Two rounds: the first takes all d_i alike. The stations' errors are taken as independent of each other, which makes the
 * figure a little too large for stations that share legs. Source: least squares of bearings, as in Mikhail and Ackermann,
 * Observations and Least Squares, 1976 (memory).
 */
interface Ray {
  /** The entry of the sighting, and the station it was taken from. */
  readonly entry: number;
  readonly station: number;
  /** From the working north. */
  readonly bearingDegrees: Degrees;
  readonly sigmaRadians: number;
}

export interface Landmark {
  readonly name: string;
  readonly thing: Thing | undefined;
  readonly rays: readonly Ray[];
  /** Null while one ray alone points at it, or the rays are too near to one line to cross. */
  readonly place: { readonly east: Metres; readonly north: Metres; readonly doubt: Ellipse } | null;
}

/** Rays that cross at less than this give no place worth drawing. Common practice, no source. */
const LEAST_CROSSING_DEGREES = 12;

/** Landmarks with the rays to each; a name is the same whatever its letter case. */
export function landmarks(solution: Solution): Landmark[] {
  const { entries } = solution.outing;
  const { station } = linePlaces(solution);
  const found = new Map<string, { name: string; thing: Thing | undefined; rays: Ray[] }>();
  let aim: Aim = 'landmark';
  entries.forEach((entry, index) => {
    if (entry.kind === 'aim') aim = entry.aim;
    if (entry.kind !== 'see') return;
    const read = { degrees: bearingDegrees(entry.bearing), north: entry.bearing.north };
    const bearing = converted(read, solution.working, solution.norths);
    if (!bearing) return;
    const key = entry.what.toLowerCase();
    const mark = found.get(key) ?? { name: entry.what, thing: entry.thing, rays: [] };
    mark.thing ??= entry.thing;
    mark.rays.push({
      entry: index,
      station: station[index]!,
      bearingDegrees: bearing.degrees,
      sigmaRadians: Math.sqrt(acrossVariance(aim)),
    });
    found.set(key, mark);
  });
  return [...found.values()].map((mark) => ({ ...mark, place: crossing(solution, mark.rays) }));
}

/** The place where rays cross, and its doubt; null where they don't. */
function crossing(solution: Solution, rays: readonly Ray[]): Landmark['place'] {
  if (!crossWell(rays)) return null;
  const { east, north } = solution.traverse;
  let at: { east: number; north: number } | null = null;
  let inverse = { xx: 0, xy: 0, yy: 0 };
  for (let round = 0; round < 2; round++) {
    let [xx, xy, yy, x, y] = [0, 0, 0, 0, 0];
    for (const { station, bearingDegrees, sigmaRadians } of rays) {
      const b = radians(bearingDegrees);
      const [nx, ny] = [Math.cos(b), -Math.sin(b)];
      const [px, py] = [east[station]!, north[station]!];
      const distance = at ? Math.hypot(at.east - px, at.north - py) : 1;
      const c = covarianceAt(solution, station);
      const ofStation = at ? nx * nx * c.xx + 2 * nx * ny * c.xy + ny * ny * c.yy : 0;
      const weight = 1 / ((sigmaRadians * Math.max(1, distance)) ** 2 + ofStation);
      const along = nx * px + ny * py;
      xx += weight * nx * nx;
      xy += weight * nx * ny;
      yy += weight * ny * ny;
      x += weight * nx * along;
      y += weight * ny * along;
    }
    const determinant = xx * yy - xy * xy;
    inverse = { xx: yy / determinant, xy: -xy / determinant, yy: xx / determinant };
    at = { east: inverse.xx * x + inverse.xy * y, north: inverse.xy * x + inverse.yy * y };
    if (!Number.isFinite(at.east) || !Number.isFinite(at.north)) return null;
  }
  const { east: x, north: y } = at!;
  const ahead = rays.every(({ station, bearingDegrees }) => {
    const b = radians(bearingDegrees);
    return (x - east[station]!) * Math.sin(b) + (y - north[station]!) * Math.cos(b) > 0;
  });
  return ahead ? { east: x, north: y, doubt: ellipse(inverse) } : null;
}

/** True when two of the rays come from different stations and cross at an angle that gives a place. */
function crossWell(rays: readonly Ray[]): boolean {
  const least = Math.sin(radians(LEAST_CROSSING_DEGREES));
  return rays.some((a) =>
    rays.some(
      (b) =>
        a.station !== b.station &&
        Math.abs(Math.sin(radians(a.bearingDegrees - b.bearingDegrees))) >= least,
    ),
  );
}
