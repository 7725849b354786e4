/**
 * Rows of a system made independent and of variance 1: L⁻¹·rows, with L·L' = Q by Cholesky. Null
 * where Q is no covariance. For few rows: the work grows with their cube. `pivots` takes the
 * diagonal of L, whose product is the root of Q's determinant.
 */
export function whiten(
  q: readonly (readonly number[])[],
  rows: readonly (readonly number[])[],
  pivots: number[] = [],
): number[][] | null {
  const lower: number[][] = [];
  const found: number[][] = [];
  for (const [i, row] of rows.entries()) {
    const line: number[] = [];
    for (let j = 0; j <= i; j++) {
      let sum = q[i]![j]!;
      for (let k = 0; k < j; k++) sum -= line[k]! * (lower[j] ?? line)[k]!;
      if (j < i) line.push(sum / lower[j]![j]!);
      else if (sum > 0) line.push(Math.sqrt(sum));
      else return null;
    }
    lower.push(line);
    pivots.push(line[i]!);
    found.push(
      row.map((value, column) => {
        let rest = value;
        for (let k = 0; k < i; k++) rest -= line[k]! * found[k]![column]!;
        return rest / line[i]!;
      }),
    );
  }
  return found;
}
