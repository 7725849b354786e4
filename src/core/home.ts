import { nearestEighth, normalised, type Wind } from './angle';
import {
  acrossVariance,
  added,
  biasCovariance,
  ellipse,
  legCovariance,
  type Covariance,
  type Ellipse,
} from './error-model';
import { converted, type Bearing, type North } from './north';
import { covarianceAt, type Solution } from './solve';
import { degrees, type Degrees, type Metres } from './units';

/** The straight way from one station to another. */
export interface Way {
  readonly from: number;
  readonly to: number;
  readonly distanceMetres: Metres;
  /** Null when no length of a pace is known. */
  readonly paces: number | null;
  /** The bearing from each north; null where the declination that it takes is not known. */
  readonly bearing: Readonly<Record<North, Degrees | null>>;
  /** The wind name, one of eight: of the true direction where it is known, else of the magnetic. */
  readonly wind: Wind;
  readonly windNorth: North;
}

/**
 * The straight way between two stations (points of the solution): bearing atan2(Δx, Δy), distance
 * hypot(Δx, Δy). At distance 0 the bearing is 0 and means nothing.
 */
export function way(solution: Solution, from: number, to: number): Way {
  const { east, north } = solution.traverse;
  return wayAcross(solution, from, to, east[to]! - east[from]!, north[to]! - north[from]!);
}

/** The same for a vector of dx east and dy north, in metres: for a leg that is not on the page yet. */
export function wayAcross(
  solution: Solution,
  from: number,
  to: number,
  dx: Metres,
  dy: Metres,
): Way {
  const { working, norths } = solution;
  const bearing: Bearing = { degrees: normalised(degrees(Math.atan2(dx, dy))), north: working };
  const toward = (north: North) => converted(bearing, north, norths)?.degrees ?? null;
  const distanceMetres = Math.hypot(dx, dy);
  const pace = solution.end.paceLength;
  return {
    from,
    to,
    distanceMetres,
    paces: Number.isNaN(pace) ? null : distanceMetres / pace,
    bearing: { magnetic: toward('magnetic'), true: toward('true'), grid: toward('grid') },
    wind: nearestEighth(bearing.degrees),
    windNorth: working,
  };
}

/**
 * Covariance of the vector between two stations from the random errors of the legs on the path between
 * them in the tree; legs of a side trip off that path do not count.
 */
export function pathCovariance(solution: Solution, a: number, b: number): Covariance {
  const { from } = solution.traverse;
  let low = a;
  let high = b;
  // A leg leaves from a point with a smaller number, so stepping the larger one back meets at the fork.
  while (low !== high) {
    if (low > high) low = from[low]!;
    else high = from[high]!;
  }
  const fork = covarianceAt(solution, low);
  const [one, other] = [covarianceAt(solution, a), covarianceAt(solution, b)];
  return {
    xx: one.xx + other.xx - 2 * fork.xx,
    xy: one.xy + other.xy - 2 * fork.xy,
    yy: one.yy + other.yy - 2 * fork.yy,
  };
}

/**
 * Covariance of where the walk from one station to another ends, against that station. With the same
 * compass and the same stride out and back the common errors cancel; the legs' own random errors and
 * those of the walk itself (the aim in force at the end, the general sigma of a distance) remain.
 */
export function missCovariance(solution: Solution, from: number, to: number): Covariance {
  const { east, north } = solution.traverse;
  return missFor(solution, from, to, east[to]! - east[from]!, north[to]! - north[from]!);
}

/** The same for a walk of dx east and dy north, in metres, that does not aim at the station itself. */
export function missFor(
  solution: Solution,
  from: number,
  to: number,
  dx: Metres,
  dy: Metres,
): Covariance {
  const { paceVariance, aim } = solution.end;
  const walk = legCovariance(dx, dy, paceVariance, acrossVariance(aim));
  return added(pathCovariance(solution, from, to), walk);
}

/** The 95 % ellipse of the miss at the end of the straight way between two stations. */
export const missAtHome = (solution: Solution, from: number, to: number): Ellipse =>
  ellipse(missCovariance(solution, from, to));

/** The 95 % ellipse of where a station is on the map, relative to the start: here the common errors count. */
export function placeOnMap(solution: Solution, station: number): Ellipse {
  const { traverse, norths } = solution;
  const bias = biasCovariance(
    traverse.east[station]!,
    traverse.north[station]!,
    norths.declinationSigmaDegrees,
  );
  return ellipse(added(covarianceAt(solution, station), bias));
}
