import geodesic from 'geographiclib-geodesic';
import type { Position } from '../readings/position';
import { signedDifference } from '../units/angle';
import { azimuthOf, lengthOf, polar, type PlanePoint } from '../units/plane';
import type { Degrees } from '../units/units';

const { WGS84 } = geodesic.Geodesic;

/**
 * The position of a point of the plane about an origin: the end of the geodesic along the vector's
 * azimuth and length. Source: C. F. F. Karney, Algorithms for geodesics, J. Geodesy 87, 2013,
 * through geographiclib-geodesic.
 */
export function positionAt(origin: Position, point: PlanePoint): Position {
  const { latitude, longitude } = origin;
  const end = WGS84.Direct(latitude, longitude, azimuthOf(point), lengthOf(point));
  return { latitude: end.lat2 ?? NaN, longitude: end.lon2 ?? NaN };
}

/** The point of the plane about an origin where a position is: the inverse of `positionAt`. */
export function planePointOf(origin: Position, { latitude, longitude }: Position): PlanePoint {
  const line = WGS84.Inverse(origin.latitude, origin.longitude, latitude, longitude);
  return polar(line.azi1 ?? NaN, line.s12 ?? NaN);
}

/**
 * How far the direction of the geodesic between two positions turns along it, in degrees: what a
 * bearing read at its end differs by from one read at its beginning, beside the half turn.
 */
export function turnAlong(from: Position, to: Position): Degrees {
  const line = WGS84.Inverse(from.latitude, from.longitude, to.latitude, to.longitude);
  return signedDifference(line.azi1 ?? NaN, line.azi2 ?? NaN);
}
