import { normalised } from './angle';
import { degrees, radians, type Degrees, type Metres } from './units';

/**
 * What lengths in a plane are in: metres, or paces where an outing is worked in those. Whatever is
 * called metres of such a plane is its unit.
 */
export type PlaneUnit = 'metre' | 'pace';

/** A point or a vector in the plane, in metres east and north. */
export interface PlanePoint {
  readonly east: Metres;
  readonly north: Metres;
}

export const ORIGIN: PlanePoint = { east: 0, north: 0 };

/** The vector from one point to another. */
export const vectorBetween = (from: PlanePoint, to: PlanePoint): PlanePoint => ({
  east: to.east - from.east,
  north: to.north - from.north,
});

export const sumOf = (a: PlanePoint, b: PlanePoint): PlanePoint => ({
  east: a.east + b.east,
  north: a.north + b.north,
});

/** A vector so many times as long. */
export const scaled = ({ east, north }: PlanePoint, by: number): PlanePoint => ({
  east: by * east,
  north: by * north,
});

/** Length of a vector, in metres. */
export const lengthOf = ({ east, north }: PlanePoint): Metres => Math.hypot(east, north);

/**
 * Direction of a vector in [0, 360), clockwise from the plane's north; 0 for a vector of no length.
 */
export const azimuthOf = ({ east, north }: PlanePoint): Degrees =>
  normalised(degrees(Math.atan2(east, north)));

/** The vector of a length along an azimuth. */
export function polar(azimuth: Degrees, metres: Metres): PlanePoint {
  const angle = radians(azimuth);
  return { east: metres * Math.sin(angle), north: metres * Math.cos(angle) };
}

/** A point's place beside a directed line: metres along it, and to its right (left is negative). */
export interface LineOffset {
  readonly along: Metres;
  readonly right: Metres;
}

/**
 * Where a point lies beside the line from one point to another, which must not be the same.
 * `along` may lie before the line's beginning (negative) or beyond its end.
 */
export function offsetFromLine(point: PlanePoint, from: PlanePoint, to: PlanePoint): LineOffset {
  const line = vectorBetween(from, to);
  const { east, north } = vectorBetween(from, point);
  const length = lengthOf(line);
  return {
    along: (east * line.east + north * line.north) / length,
    right: (east * line.north - north * line.east) / length,
  };
}

/**
 * Where two straight stretches meet, as a share of each from its beginning; a share outside 0 to 1
 * is beyond its ends. Null for parallel ones. p + t·r and q + u·s meet at t = (q-p)×s / r×s, u =
 * (q-p)×r / r×s.
 */
export function meetingShares(
  [p, toP]: readonly [PlanePoint, PlanePoint],
  [q, toQ]: readonly [PlanePoint, PlanePoint],
): readonly [number, number] | null {
  const [r, s, between] = [vectorBetween(p, toP), vectorBetween(q, toQ), vectorBetween(p, q)];
  const across = r.east * s.north - r.north * s.east;
  if (across === 0) return null;
  return [
    (between.east * s.north - between.north * s.east) / across,
    (between.east * r.north - between.north * r.east) / across,
  ];
}

/** The least rectangle that holds a set of points. */
export interface Bounds {
  readonly west: Metres;
  readonly east: Metres;
  readonly south: Metres;
  readonly north: Metres;
}

/** The bounds of points; the origin's, without extent, where there are none. */
export function boundsOf(points: Iterable<PlanePoint>): Bounds {
  let [west, east, south, north] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const point of points) {
    west = Math.min(west, point.east);
    east = Math.max(east, point.east);
    south = Math.min(south, point.north);
    north = Math.max(north, point.north);
  }
  return west > east ? { west: 0, east: 0, south: 0, north: 0 } : { west, east, south, north };
}
