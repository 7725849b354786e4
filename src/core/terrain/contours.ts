import { contours } from 'd3-contour';
import type { PlanePoint } from '../units/plane';
import type { Metres } from '../units/units';
import { postHeight, type HeightField } from './height-field';

/** The lines of one height: closed rings, inner ones too, in metres of the plane. */
export interface Contour {
  readonly heightMetres: Metres;
  readonly rings: readonly (readonly PlanePoint[])[];
}

/**
 * Contours of a field at heights, by marching squares. d3-contour puts a value in the middle of a
 * pixel, half a pixel from where our post is.
 */
export function contoursAt(field: HeightField, heights: readonly Metres[]): Contour[] {
  const { west, south, cellMetres: cell, columns, rows } = field;
  return contours()
    .size([columns, rows])
    .thresholds([...heights])(Array.from(field.metres))
    .map(({ value, coordinates }) => ({
      heightMetres: value,
      rings: coordinates.flat().map((ring) =>
        ring.map(([x = 0, y = 0]) => ({
          east: west + cell * Math.min(columns - 1, Math.max(0, x - 0.5)),
          north: south + cell * Math.min(rows - 1, Math.max(0, y - 0.5)),
        })),
      ),
    }));
}

/** Heights at an interval that a field reaches, in metres. */
export function levelsOf(field: HeightField, interval: Metres): Metres[] {
  let [low, high] = [Infinity, -Infinity];
  for (const height of field.metres) {
    if (height < low) low = height;
    if (height > high) high = height;
  }
  const first = Math.floor(low / interval) + 1;
  const count = Math.max(0, Math.floor(high / interval) - first + 1);
  return Array.from({ length: count }, (_, index) => (first + index) * interval);
}

/**
 * The parts of a ring that tell where the ground has its height: neither along the field's edge,
 * where it was closed, nor around posts that aren't known.
 */
export function insideParts(field: HeightField, ring: readonly PlanePoint[]): PlanePoint[][] {
  const { west, south, cellMetres: cell, columns, rows } = field;
  const isTold = ({ east, north }: PlanePoint) => {
    const [x, y] = [(east - west) / cell, (north - south) / cell];
    if (x <= 0 || y <= 0 || x >= columns - 1 || y >= rows - 1) return false;
    const heights = postsAround(x, y).map(([column, row]) => postHeight(field, column, row));
    return !heights.some(Number.isNaN);
  };
  const parts: PlanePoint[][] = [[]];
  for (const point of ring) {
    if (isTold(point)) parts.at(-1)?.push(point);
    else parts.push([]);
  }
  return parts.filter((part) => part.length > 1);
}

const isWhole = (value: number) => Math.abs(value - Math.round(value)) < 1e-6;

/**
 * The posts that a point of a contour lies between. One on a post itself is of a line around those
 * beside it where they aren't known: there is nothing to interpolate with.
 */
function postsAround(x: number, y: number): [column: number, row: number][] {
  const [column, row] = [Math.round(x), Math.round(y)];
  if (!isWhole(x)) return [Math.floor(x), Math.ceil(x)].map((each) => [each, row]);
  if (!isWhole(y)) return [Math.floor(y), Math.ceil(y)].map((each) => [column, each]);
  return [
    [column - 1, row],
    [column + 1, row],
    [column, row - 1],
    [column, row + 1],
  ];
}
