import proj4 from 'proj4';
import type { Fault } from '../faults/fault';
import type { Position } from '../readings/position';
import { fail, ok, type Result } from '../units/result';
import type { PlanePoint } from '../units/plane';
import { isMapProjection } from './map-projections';
import { utmZone } from './utm-zone';

/** The grid of a map: its plane, in metres east and north of its false origin. */
export interface MapGrid {
  /** Its definition in the words of the projection library. */
  readonly definition: string;
  /** Throws RangeError for a position that the grid can't hold: ask `mapGrid` near it first. */
  forward(position: Position): PlanePoint;
  inverse(point: PlanePoint): Position;
}

/** The definition of the UTM grid that maps of a place use; its zone may be another one. */
export const utmDefinition = (position: Position, zone = utmZone(position)): string =>
  `+proj=utm +zone=${zone} ${position.latitude < 0 ? '+south ' : ''}+datum=WGS84`;

const UTM_SOUTH = -80;
const UTM_NORTH = 84;
/** Metres in one unit of a definition: coordinates on a sheet may be in any that PROJ names. */
function unitMetres(definition: string): number {
  // The package reads `+units` and `+to_meter`; its types leave the class out.
  const { Proj } = proj4 as unknown as { Proj: new (words: string) => { to_meter?: number } };
  return new Proj(definition).to_meter ?? 1;
}

/**
 * The grid of a map near a place: by a projection's definition, or UTM without one. Refuses what
 * isn't a map's projection, and UTM beyond 80 S and 84 N.
 */
export function mapGrid(near: Position, projection?: string): Result<MapGrid, Fault> {
  const { latitude } = near;
  if (projection === undefined && (latitude < UTM_SOUTH || latitude > UTM_NORTH)) {
    return fail({ code: 'no-grid-there' });
  }
  const definition = projection ?? utmDefinition(near);
  const bad = fail<Fault>({ code: 'bad-projection', definition });
  if (!isMapProjection(definition)) return bad;
  try {
    const grid = proj4(definition);
    const metres = unitMetres(definition);
    const forward = ({ latitude, longitude }: Position): PlanePoint => {
      const [east = NaN, north = NaN] = grid.forward([longitude, latitude]);
      if (!Number.isFinite(east + north)) throw new RangeError('beyond the grid');
      return { east: east * metres, north: north * metres };
    };
    const inverse = ({ east, north }: PlanePoint): Position => {
      const [longitude = NaN, latitude = NaN] = grid.inverse([east / metres, north / metres]);
      if (!Number.isFinite(longitude + latitude)) throw new RangeError('beyond the grid');
      return { latitude, longitude };
    };
    if (projection === undefined) forward(near);
    return ok({ definition, forward, inverse });
  } catch {
    // The package throws strings and errors alike for what it can't project.
    return bad;
  }
}
