import { planePointOf, positionAt } from '../../place/geodesic';
import { mapGrid } from '../../place/map-grid';
import type { Position } from '../../readings/position';
import { slopeAt, type HeightField } from '../../terrain/height-field';
import { heightInGrid, type HeightGrid } from '../../terrain/height-grid';
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
import { radians, type Degrees, type Metres } from '../../units/units';

/** From these slopes on ground is steep, and a cliff. Common practice, no source. */
export const STEEP_DEGREES = 30;
export const CLIFF_DEGREES = 45;
/** A degree of latitude, on a sphere of the earth's mean radius (IUGG). */
const METRES_PER_DEGREE = 111_195;
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

/** Reads one grid's height at a position; NaN where it has none. */
function readerOf(grid: HeightGrid, near: Position): (position: Position) => Metres {
  if (grid.projection === null) {
    return ({ latitude, longitude }) => {
      // A sheet may reach over the date line: 181° E is 179° W.
      const eastOf = longitude < grid.west ? longitude + 360 : longitude;
      return heightInGrid(grid, eastOf, latitude);
    };
  }
  const plane = mapGrid(near, grid.projection);
  if (!plane.ok) return () => NaN;
  const { forward } = plane.value;
  return (position) => {
    try {
      const { east, north } = forward(position);
      return heightInGrid(grid, east, north);
    } catch {
      return NaN;
    }
  };
}

/** Reads the height at a position from the first grid that has one; NaN where none has. */
function reader(grids: readonly HeightGrid[], near: Position): (position: Position) => Metres {
  const readers = grids.map((grid) => readerOf(grid, near));
  return (position) => {
    for (const read of readers) {
      const height = read(position);
      if (!Number.isNaN(height)) return height;
    }
    return NaN;
  };
}

/** The narrower of a grid's steps near a place, in metres. */
function cellOf(grid: HeightGrid, { latitude }: Position): Metres {
  if (grid.projection !== null) return Math.min(grid.stepEast, grid.stepSouth);
  const east = grid.stepEast * METRES_PER_DEGREE * Math.cos(radians(latitude));
  return Math.min(east, grid.stepSouth * METRES_PER_DEGREE);
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
  const heightOf = reader(grids, from);
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
