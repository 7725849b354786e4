import type { Covariance } from '../../errors/covariance';
import type { PlanePoint } from '../../units/plane';

/** A 2 by 2 matrix that need not be symmetric, row by row. */
export type Square = readonly [number, number, number, number];

/** R + A·S⁻¹·B' of two matrices of two rows. */
export function crossOf(
  rest: Square,
  a: Float64Array,
  b: Float64Array,
  joint: Float64Array,
): Square {
  const count = a.length / 2;
  const sum: [number, number, number, number] = [...rest];
  for (let i = 0; i < count; i++) {
    for (let j = 0; j < count; j++) {
      const common = joint[i * count + j]!;
      sum[0] += common * a[i]! * b[j]!;
      sum[1] += common * a[i]! * b[count + j]!;
      sum[2] += common * a[count + i]! * b[j]!;
      sum[3] += common * a[count + i]! * b[count + j]!;
    }
  }
  return sum;
}

export const apply = ([a, b, c, d]: Square, { east, north }: PlanePoint): PlanePoint => ({
  east: a * east + b * north,
  north: c * east + d * north,
});

/** B·K·B' of a square B and a symmetric K. */
export function sandwich([a, b, c, d]: Square, { xx, xy, yy }: Covariance): Covariance {
  return {
    xx: a * a * xx + 2 * a * b * xy + b * b * yy,
    xy: a * c * xx + (a * d + b * c) * xy + b * d * yy,
    yy: c * c * xx + 2 * c * d * xy + d * d * yy,
  };
}

/** The inverse of a symmetric matrix with this determinant. */
export const inverseOf = ({ xx, xy, yy }: Covariance, determinant: number): Covariance => ({
  xx: yy / determinant,
  xy: -xy / determinant,
  yy: xx / determinant,
});

export const times = ({ xx, xy, yy }: Covariance, { east, north }: PlanePoint): PlanePoint => ({
  east: xx * east + xy * north,
  north: xy * east + yy * north,
});

/** Where shared errors with some values move an end, by what one unit of each does. */
export function moved(moves: Float64Array, values: Float64Array): PlanePoint {
  let [east, north] = [0, 0];
  const count = values.length;
  for (let i = 0; i < count; i++) {
    east += moves[i]! * values[i]!;
    north += moves[count + i]! * values[i]!;
  }
  return { east, north };
}
