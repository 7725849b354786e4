import { planePointOf, positionAt } from '../../place/geodesic';
import { mapGrid } from '../../place/map-grid';
import type { Position } from '../../readings/position';
import type { HeightField } from '../../terrain/height-field';
import { heightInGrid, type HeightGrid } from '../../terrain/height-grid';
import type { Bounds, PlanePoint } from '../../units/plane';
import { radians, type Metres } from '../../units/units';
import { nth } from '../../units/nth';

/** A degree of latitude, on a sphere of the earth's mean radius (IUGG). */
const METRES_PER_DEGREE = 111_195;

/** A rectangle in degrees; its east may be beyond 180 where it reaches over the date line. */
export interface DegreeBounds {
  readonly south: number;
  readonly north: number;
  readonly west: number;
  readonly east: number;
}

/** Where a position is on the axes of a projection; null beyond it. */
function axesOf(projection: string, near: Position): (position: Position) => PlanePoint | null {
  const plane = mapGrid(near, projection);
  if (!plane.ok) return () => null;
  const { forward } = plane.value;
  return (position) => {
    try {
      return forward(position);
    } catch {
      return null;
    }
  };
}

/** Reads heights of grids in one projection: a position is projected once for all of them. */
function readerOf(
  projection: string | null,
  grids: readonly HeightGrid[],
  near: Position,
): (position: Position) => Metres {
  const axes = projection === null ? null : axesOf(projection, near);
  return (position) => {
    const at = axes ? axes(position) : { east: position.longitude, north: position.latitude };
    if (!at) return NaN;
    for (const grid of grids) {
      // A sheet in degrees may reach over the date line: 181° E is 179° W.
      const east = !axes && at.east < grid.west ? at.east + 360 : at.east;
      const height = heightInGrid(grid, east, at.north);
      if (!Number.isNaN(height)) return height;
    }
    return NaN;
  };
}

/** Reads the height at a position from the first grid that has one; NaN where none has. */
export function heightReader(
  grids: readonly HeightGrid[],
  near: Position,
): (position: Position) => Metres {
  // Neighbours of one projection are read together; their order stays.
  const runs: { projection: string | null; grids: HeightGrid[] }[] = [];
  for (const grid of grids) {
    const last = runs.at(-1);
    if (last?.projection === grid.projection) last.grids.push(grid);
    else runs.push({ projection: grid.projection, grids: [grid] });
  }
  const readers = runs.map((run) => readerOf(run.projection, run.grids, near));
  return (position) => {
    for (const read of readers) {
      const height = read(position);
      if (!Number.isNaN(height)) return height;
    }
    return NaN;
  };
}

/** The narrower of a grid's steps near a place, in metres. */
export function cellOf(grid: HeightGrid, { latitude }: Position): Metres {
  if (grid.projection !== null) return Math.min(grid.stepEast, grid.stepSouth);
  const east = grid.stepEast * METRES_PER_DEGREE * Math.cos(radians(latitude));
  return Math.min(east, grid.stepSouth * METRES_PER_DEGREE);
}

/** Posts to a side of a rectangle, ends included. */
const postsAlong = (metres: Metres, cell: Metres) => Math.ceil(metres / cell) + 1;

/**
 * The ground within bounds in the plane about a position, true north up: from the heights of grids
 * (of two that overlap the first counts), at their own spacing or coarser, with at most so many
 * posts. Null where none of it is known.
 */
export function fieldWithin(
  grids: readonly HeightGrid[],
  origin: Position,
  { west, south, east, north }: Bounds,
  mostPosts: number,
): HeightField | null {
  if (grids.length === 0) return null;
  const [width, height] = [east - west, north - south];
  let cellMetres = Math.min(...grids.map((grid) => cellOf(grid, origin)));
  const room = () => postsAlong(width, cellMetres) * postsAlong(height, cellMetres);
  while (room() > mostPosts) cellMetres *= 1.25;
  const [columns, rows] = [postsAlong(width, cellMetres), postsAlong(height, cellMetres)];
  const metres = new Float32Array(columns * rows);
  const heightOf = heightReader(grids, origin);
  let isKnown = false;
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const point = { east: west + column * cellMetres, north: south + row * cellMetres };
      const found = heightOf(positionAt(origin, point));
      metres[row * columns + column] = found;
      isKnown ||= !Number.isNaN(found);
    }
  }
  return isKnown ? { west, south, cellMetres, columns, rows, metres } : null;
}

/** Posts to a side of a tile; the next one begins with the last post of this one. */
const TILE_STEPS = 256;

/** A grid in tiles, each a grid by itself, so that a part of a large one can be read alone. */
export function* tilesOf(grid: HeightGrid): Generator<HeightGrid> {
  for (let top = 0; top < grid.rows - 1; top += TILE_STEPS) {
    for (let left = 0; left < grid.columns - 1; left += TILE_STEPS) {
      const columns = Math.min(TILE_STEPS, grid.columns - 1 - left) + 1;
      const rows = Math.min(TILE_STEPS, grid.rows - 1 - top) + 1;
      const metres = new Float32Array(columns * rows);
      for (let row = 0; row < rows; row++) {
        const from = (top + row) * grid.columns + left;
        metres.set(grid.metres.subarray(from, from + columns), row * columns);
      }
      yield {
        ...grid,
        west: grid.west + left * grid.stepEast,
        north: grid.north - top * grid.stepSouth,
        columns,
        rows,
        metres,
      };
    }
  }
}

/** Points of each side that are projected: a side of a map's grid bends in degrees. */
const SIDE_POINTS = 4;

/** The rectangle in degrees that a grid lies in. Throws RangeError where it is beyond its map. */
export function degreesOf(grid: HeightGrid): DegreeBounds {
  const [east, south] = [
    grid.west + (grid.columns - 1) * grid.stepEast,
    grid.north - (grid.rows - 1) * grid.stepSouth,
  ];
  if (grid.projection === null) return { south, north: grid.north, west: grid.west, east };
  const plane = mapGrid({ latitude: 0, longitude: 0 }, grid.projection);
  if (!plane.ok) throw new RangeError('no such projection');
  const around = Array.from({ length: SIDE_POINTS + 1 }, (_, i) => i / SIDE_POINTS).flatMap(
    (share) => {
      const x = grid.west + share * (east - grid.west);
      const y = south + share * (grid.north - south);
      return [
        { east: x, north: south },
        { east: x, north: grid.north },
        { east: grid.west, north: y },
        { east, north: y },
      ];
    },
  );
  const found = around.map((point) => plane.value.inverse(point));
  const latitudes = found.map(({ latitude }) => latitude);
  const first = nth(found, 0).longitude;
  const longitudes = found.map(({ longitude }) => first + turnTo(longitude - first));
  return {
    south: Math.min(...latitudes),
    north: Math.max(...latitudes),
    west: Math.min(...longitudes),
    east: Math.max(...longitudes),
  };
}

const turnTo = (degrees: number) => degrees - 360 * Math.round(degrees / 360);

/** True where a rectangle in degrees may have a part of the plane about a position. */
export function mayReach(degrees: DegreeBounds, origin: Position, bounds: Bounds): boolean {
  const { south, north, west, east } = degrees;
  const middle = { latitude: (south + north) / 2, longitude: (west + east) / 2 };
  const at = planePointOf(origin, middle);
  const half = METRES_PER_DEGREE * Math.hypot(north - south, east - west) * 0.5;
  return (
    at.east + half >= bounds.west &&
    at.east - half <= bounds.east &&
    at.north + half >= bounds.south &&
    at.north - half <= bounds.north
  );
}
