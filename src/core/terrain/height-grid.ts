import type { Metres } from '../units/units';

/**
 * Heights of real ground as files have them: posts row by row from the north-west one, in degrees
 * or in metres of a map projection. A height that isn't known is NaN.
 */
export interface HeightGrid {
  /** The definition of the projection; null where columns and rows are degrees of WGS 84. */
  readonly projection: string | null;
  /** Of the first post: longitude and latitude, or metres. */
  readonly west: number;
  readonly north: number;
  /** From post to post, above 0. */
  readonly stepEast: number;
  readonly stepSouth: number;
  readonly columns: number;
  readonly rows: number;
  readonly metres: Float32Array;
}

/** Of a step: the last bits of a number are no way off the grid. */
const EDGE = 1e-6;

/** Steps from the first of so many posts; NaN beyond them. */
const stepsWithin = (steps: number, posts: number): number =>
  steps >= -EDGE && steps <= posts - 1 + EDGE ? Math.min(Math.max(0, steps), posts - 1) : NaN;

/**
 * Height at a place of the grid's own axes by bilinear interpolation, in metres; NaN off the grid
 * and beside a post that isn't known.
 */
export function heightInGrid(grid: HeightGrid, east: number, north: number): Metres {
  const x = stepsWithin((east - grid.west) / grid.stepEast, grid.columns);
  const y = stepsWithin((grid.north - north) / grid.stepSouth, grid.rows);
  if (Number.isNaN(x + y)) return NaN;
  const column = Math.min(Math.floor(x), grid.columns - 2);
  const row = Math.min(Math.floor(y), grid.rows - 2);
  const [dx, dy] = [x - column, y - row];
  const at = row * grid.columns + column;
  const { metres, columns } = grid;
  const upper = metres[at]! * (1 - dx) + metres[at + 1]! * dx;
  const lower = metres[at + columns]! * (1 - dx) + metres[at + columns + 1]! * dx;
  return upper * (1 - dy) + lower * dy;
}
