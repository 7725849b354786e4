import geodesic from 'geographiclib-geodesic';
import { normalised } from './angle';
import type { PlaneSpot } from './beside-leg';
import type { Position } from './logbook';
import type { Solution } from './solve';
import { degrees, radians } from './units';

const { WGS84 } = geodesic.Geodesic;

/**
 * Latitude and longitude of a station, by the geodesic from the start along the vector's azimuth and
 * length; null when the start has no position, or true north is not known. Source: C. F. F. Karney,
 * Algorithms for geodesics, J. Geodesy 87, 2013, through geographiclib-geodesic.
 */
export function positionOf(solution: Solution, station: number): Position | null {
  const { east, north } = solution.traverse;
  return positionAt(solution, { east: east[station]!, north: north[station]! });
}

/** The same for any spot of the plane. */
export function positionAt(solution: Solution, { east, north }: PlaneSpot): Position | null {
  const start = solution.outing.start.position;
  if (!start || solution.working !== 'true') return null;
  const azimuth = normalised(degrees(Math.atan2(east, north)));
  const end = WGS84.Direct(start.latitude, start.longitude, azimuth, Math.hypot(east, north));
  return { latitude: end.lat2!, longitude: end.lon2! };
}

/** Where a position lies in the plane about a start: the vector whose geodesic leads there. The inverse of `positionAt`. */
export function planeSpot(start: Position, { latitude, longitude }: Position): PlaneSpot {
  const line = WGS84.Inverse(start.latitude, start.longitude, latitude, longitude);
  const azimuth = radians(line.azi1!);
  return { east: line.s12! * Math.sin(azimuth), north: line.s12! * Math.cos(azimuth) };
}
