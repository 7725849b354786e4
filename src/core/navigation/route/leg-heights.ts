import { cellOf, heightReader } from '../ground/heights-here';
import { planePointOf, positionAt } from '../../place/geodesic';
import type { Position } from '../../readings/position';
import { slopeAt, type HeightField } from '../../terrain/height-field';
import type { HeightGrid } from '../../terrain/height-grid';
import { climbOf, profile, type ProfilePoint } from '../../terrain/profile';
import {
  azimuthOf,
  boundsOf,
  lengthOf,
  offsetFromLine,
  ORIGIN,
  polar,
  type PlanePoint,
} from '../../units/plane';
import type { Degrees, Metres } from '../../units/units';

/** From these slopes on ground is steep, and a cliff. Common practice, no source. */
export const STEEP_DEGREES = 30;
export const CLIFF_DEGREES = 45;
/** A field around a leg has at most so many posts: it is made coarser for a very long one. */
const MOST_POSTS = 1_000_000;
/** Posts beside the line that the slope on it needs. */
const BESIDE = 2;

/** What the heights say of a straight leg. */
export interface LegHeights {
  readonly upMetres: Metres;
  readonly downMetres: Metres;
  /** Where the ground is steepest on the leg; null where that isn't known anywhere. */
  readonly steepest: { readonly degrees: Degrees; readonly alongMetres: Metres } | null;
  /** The share of the leg whose heights aren't known, from 0 to 1. */
  readonly unknownShare: number;
}

/** The ground along a leg in the plane about its beginning; what is aside of it stays unknown. */
function fieldAlong(grids: readonly HeightGrid[], from: Position, end: PlanePoint): HeightField {
  const around = boundsOf([ORIGIN, end]);
  const [width, height] = [around.east - around.west, around.north - around.south];
  const room = (cell: Metres) => (width / cell + 2 * BESIDE + 1) * (height / cell + 2 * BESIDE + 1);
  let cellMetres = Math.min(...grids.map((grid) => cellOf(grid, from)));
  while (room(cellMetres) > MOST_POSTS) cellMetres *= 2;
  const margin = BESIDE * cellMetres;
  const columns = Math.ceil(width / cellMetres) + 2 * BESIDE + 1;
  const rows = Math.ceil(height / cellMetres) + 2 * BESIDE + 1;
  const [west, south] = [around.west - margin, around.south - margin];
  const metres = new Float32Array(columns * rows).fill(NaN);
  const heightOf = heightReader(grids, from);
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const point = { east: west + column * cellMetres, north: south + row * cellMetres };
      const { right } = offsetFromLine(point, ORIGIN, end);
      // Two cells, and what a diagonal of one adds.
      if (Math.abs(right) > 3 * cellMetres) continue;
      metres[row * columns + column] = heightOf(positionAt(from, point));
    }
  }
  return { west, south, cellMetres, columns, rows, metres };
}

/** The steepest ground on a profile. */
function steepestOf(field: HeightField, end: PlanePoint, points: readonly ProfilePoint[]) {
  let steepest: LegHeights['steepest'] = null;
  for (const { alongMetres } of points) {
    const slope = slopeAt(field, polar(azimuthOf(end), alongMetres));
    if (slope && slope.degrees > (steepest?.degrees ?? -1)) {
      steepest = { degrees: slope.degrees, alongMetres };
    }
  }
  return steepest;
}

/**
 * Climb, descent and the steepest ground of the straight leg between two positions, by the heights
 * of files (of two that overlap the first counts): along the geodesic, no coarser than half a cell,
 * climbs above a hysteresis of 5 m. Null where no height of it is known.
 */
export function legHeights(
  grids: readonly HeightGrid[],
  from: Position,
  to: Position,
): LegHeights | null {
  const end = planePointOf(from, to);
  if (lengthOf(end) === 0 || grids.length === 0) return null;
  const field = fieldAlong(grids, from, end);
  const points = profile(field, ORIGIN, end);
  const unknown = points.filter(({ heightMetres }) => Number.isNaN(heightMetres)).length;
  if (unknown === points.length) return null;
  const { climb, descent } = climbOf(points);
  return {
    upMetres: climb,
    downMetres: descent,
    steepest: steepestOf(field, end, points),
    unknownShare: unknown / points.length,
  };
}
