import { whiten } from '../../errors/whiten';

/** What is known of the shared errors after an adjustment. */
export interface SharedPosterior {
  /** The estimate of each, in its own unit: radians, or over the length. */
  readonly values: Float64Array;
  /** Their covariance, row by row. */
  readonly covariance: Float64Array;
}

/**
 * Solves S·s = b for a few shared errors, and inverts S, which is symmetric and positive.
 */
export function solveShared(matrix: readonly (readonly number[])[], b: readonly number[]) {
  const count = b.length;
  const unit = matrix.map((_, i) => [b[i]!, ...matrix.map((__, j) => (i === j ? 1 : 0))]);
  const rows = whiten(matrix, unit);
  if (!rows) throw new RangeError('the normal equations of the shared errors are not positive');
  const values = new Float64Array(count);
  const covariance = new Float64Array(count * count);
  for (const row of rows) {
    for (let i = 0; i < count; i++) {
      values[i]! += row[i + 1]! * row[0]!;
      for (let j = 0; j < count; j++) covariance[i * count + j]! += row[i + 1]! * row[j + 1]!;
    }
  }
  return { values, covariance } satisfies SharedPosterior;
}
