import { azimuthOf, type Bounds, type PlanePoint } from '../units/plane';
import { degrees, type Degrees, type Metres } from '../units/units';

/**
 * Heights on a regular grid in the plane, row by row from the south-west corner: the post of column
 * c and row r lies at `west + c·cell`, `south + r·cell`. A height that isn't known is NaN.
 */
export interface HeightField {
  readonly west: Metres;
  readonly south: Metres;
  readonly cellMetres: Metres;
  readonly columns: number;
  readonly rows: number;
  readonly metres: Float32Array;
}

/** The rectangle between the outermost posts. */
export const boundsOfField = (field: HeightField): Bounds => ({
  west: field.west,
  south: field.south,
  east: field.west + (field.columns - 1) * field.cellMetres,
  north: field.south + (field.rows - 1) * field.cellMetres,
});

/** Height of a post, in metres; NaN outside. */
export const postHeight = (field: HeightField, column: number, row: number): Metres =>
  column < 0 || row < 0 || column >= field.columns || row >= field.rows
    ? NaN
    : field.metres[row * field.columns + column]!;

/** Height at a point by bilinear interpolation, in metres; NaN off the field or beside a void. */
export function heightAt(field: HeightField, point: PlanePoint): Metres {
  const x = (point.east - field.west) / field.cellMetres;
  const y = (point.north - field.south) / field.cellMetres;
  if (!(x >= 0 && y >= 0 && x <= field.columns - 1 && y <= field.rows - 1)) return NaN;
  const column = Math.min(Math.floor(x), field.columns - 2);
  const row = Math.min(Math.floor(y), field.rows - 2);
  const [dx, dy] = [x - column, y - row];
  const at = row * field.columns + column;
  const { metres, columns } = field;
  return (
    metres[at]! * (1 - dx) * (1 - dy) +
    metres[at + 1]! * dx * (1 - dy) +
    metres[at + columns]! * (1 - dx) * dy +
    metres[at + columns + 1]! * dx * dy
  );
}

/** How steep the ground is, and which way it falls. */
export interface Slope {
  readonly degrees: Degrees;
  /** Azimuth of the way down; 0 on the level. */
  readonly aspectDegrees: Degrees;
}

/**
 * Slope at the post nearest to a point, from its eight neighbours weighted 1, 2, 1. Null at the
 * field's edge and beside voids. Source: B. K. P. Horn, Hill shading and the reflectance map, Proc.
 * IEEE 69, 1981 (memory).
 */
export function slopeAt(field: HeightField, point: PlanePoint): Slope | null {
  const column = Math.round((point.east - field.west) / field.cellMetres);
  const row = Math.round((point.north - field.south) / field.cellMetres);
  const at = (right: number, up: number) => postHeight(field, column + right, row + up);
  const side = (right: number) => at(right, -1) + 2 * at(right, 0) + at(right, 1);
  const edge = (up: number) => at(-1, up) + 2 * at(0, up) + at(1, up);
  const east = (side(1) - side(-1)) / (8 * field.cellMetres);
  const north = (edge(1) - edge(-1)) / (8 * field.cellMetres);
  if (Number.isNaN(east + north)) return null;
  return {
    degrees: degrees(Math.atan(Math.hypot(east, north))),
    aspectDegrees: azimuthOf({ east: 0 - east, north: 0 - north }),
  };
}
