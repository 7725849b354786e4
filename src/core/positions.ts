import geodesic from 'geographiclib-geodesic';
import { normalised } from './angle';
import type { Position } from './logbook';
import type { Solution } from './solve';
import { degrees } from './units';

const { WGS84 } = geodesic.Geodesic;

/**
 * Latitude and longitude of a station, by the geodesic from the start along the vector's azimuth and
 * length; null when the start has no position, or true north is not known. Source: C. F. F. Karney,
 * Algorithms for geodesics, J. Geodesy 87, 2013, through geographiclib-geodesic.
 */
export function positionOf(solution: Solution, station: number): Position | null {
  const start = solution.outing.start.position;
  if (!start || solution.working !== 'true') return null;
  const east = solution.traverse.east[station]!;
  const north = solution.traverse.north[station]!;
  const azimuth = normalised(degrees(Math.atan2(east, north)));
  const end = WGS84.Direct(start.latitude, start.longitude, azimuth, Math.hypot(east, north));
  return { latitude: end.lat2!, longitude: end.lon2! };
}
