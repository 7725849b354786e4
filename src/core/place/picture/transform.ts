import type { PlanePoint } from '../../units/plane';
import { nth } from '../../units/nth';

/** A point of a picture, in pixels right and down from its upper left corner. */
export interface Pixel {
  readonly x: number;
  readonly y: number;
}

/**
 * A projective map from a picture to a plane, as the rows of a matrix:
 * (east, north, 1) ~ H·(x, y, 1). Of a similarity and an affine map the last row is 0 0 1.
 */
export type Homography = readonly [
  readonly [number, number, number],
  readonly [number, number, number],
  readonly [number, number, number],
];

/** The last coordinate before it is divided by: its sign tells the side of the vanishing line. */
export const weightAt = ([, , [g, h, i]]: Homography, { x, y }: Pixel): number => g * x + h * y + i;

/** Where a pixel is on the plane. */
export function toPlane(map: Homography, pixel: Pixel): PlanePoint {
  const [[a, b, c], [d, e, f]] = map;
  const { x, y } = pixel;
  const w = weightAt(map, pixel);
  return { east: (a * x + b * y + c) / w, north: (d * x + e * y + f) / w };
}

/** Where a point of the plane is in the picture. */
export function toPixel(inverse: Homography, { east, north }: PlanePoint): Pixel {
  const at = toPlane(inverse, { x: east, y: north });
  return { x: at.east, y: at.north };
}

/** One map after another: the matrix product. */
export function composed(second: Homography, first: Homography): Homography {
  const cell = (row: number, column: number) =>
    nth(second, row).reduce((sum, value, k) => sum + value * nth(nth(first, k), column), 0);
  const row = (index: number) => [cell(index, 0), cell(index, 1), cell(index, 2)] as const;
  return [row(0), row(1), row(2)];
}

/** The way back, by the adjugate: the factor that is left out cancels. */
export function inverted([[a, b, c], [d, e, f], [g, h, i]]: Homography): Homography {
  return [
    [e * i - f * h, c * h - b * i, b * f - c * e],
    [f * g - d * i, a * i - c * g, c * d - a * f],
    [d * h - e * g, b * g - a * h, a * e - b * d],
  ];
}

/**
 * How areas are turned by the map at a pixel: negative where the picture is seen from above, since
 * pixels count down and northings up; positive where it is mirrored.
 */
export function turnOfAreas(map: Homography, pixel: Pixel): number {
  const [[a, b, c], [d, e, f], [g, h, i]] = map;
  const determinant = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  return determinant / weightAt(map, pixel) ** 3;
}

/** Metres of the plane for a pixel at a place of the picture: the root of the areas' ratio. */
export const metresPerPixel = (map: Homography, pixel: Pixel): number =>
  Math.sqrt(Math.abs(turnOfAreas(map, pixel)));
