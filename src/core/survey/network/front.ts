/**
 * Eliminates the first two rows of a front (size by size, lower triangle, row by row). Writes the
 * three numbers of their factor L behind `node`, and returns T = F21·L⁻ᵀ, two numbers a row.
 */
export function eliminateFirst(
  matrix: Float64Array,
  size: number,
  pivots: Float64Array,
  node: number,
): Float64Array {
  const xx = Math.sqrt(matrix[0]!);
  const yx = matrix[size]! / xx;
  const yy = Math.sqrt(matrix[size + 1]! - yx * yx);
  pivots[3 * node] = xx;
  pivots[3 * node + 1] = yx;
  pivots[3 * node + 2] = yy;
  const below = new Float64Array(2 * (size - 2));
  for (let row = 2; row < size; row++) {
    const x = matrix[row * size]! / xx;
    below[2 * (row - 2)] = x;
    below[2 * (row - 2) + 1] = (matrix[row * size + 1]! - yx * x) / yy;
  }
  return below;
}

/** What a front leaves once its first two rows are eliminated: F22 - T·T', the lower triangle. */
export function updateOf(matrix: Float64Array, size: number, below: Float64Array): Float64Array {
  const width = size - 2;
  const update = new Float64Array(width * width);
  for (let i = 0; i < width; i++) {
    const [x, y] = [below[2 * i]!, below[2 * i + 1]!];
    const row = (i + 2) * size + 2;
    for (let j = 0; j <= i; j++) {
      update[i * width + j] = matrix[row + j]! - x * below[2 * j]! - y * below[2 * j + 1]!;
    }
  }
  return update;
}
