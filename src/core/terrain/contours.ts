import { contours } from 'd3-contour';
import type { PlanePoint } from '../units/plane';
import type { Metres } from '../units/units';
import type { HeightField } from './height-field';

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

/** The parts of a ring that don't run along the field's edge, where it was closed. */
export function insideParts(field: HeightField, ring: readonly PlanePoint[]): PlanePoint[][] {
  const { west, south, cellMetres: cell, columns, rows } = field;
  const [x, y] = [west + cell * (columns - 1), south + cell * (rows - 1)];
  const isOnEdge = ({ east, north }: PlanePoint) =>
    east <= west || north <= south || east >= x || north >= y;
  const parts: PlanePoint[][] = [[]];
  for (const point of ring) {
    if (isOnEdge(point)) parts.push([]);
    else parts.at(-1)?.push(point);
  }
  return parts.filter((part) => part.length > 1);
}
