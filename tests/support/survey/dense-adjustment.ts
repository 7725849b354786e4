import { Matrix, inverse } from 'ml-matrix';

/**
 * A network adjusted the long way, with the matrix library: one unknown for every place, every
 * shared error and every reading's own error, and every line a condition. Shares no code with the
 * core; the conditions are relinearised until nothing moves.
 */
export interface DenseLine {
  readonly from: number;
  readonly to: number;
  readonly bearing: number;
  readonly metres: number;
  readonly alongVariance: number;
  readonly acrossVariance: number;
  readonly shared: readonly { readonly source: number; readonly share: number }[];
}
export interface DenseNetwork {
  readonly nodes: number;
  readonly lines: readonly DenseLine[];
  readonly sources: readonly { readonly of: 'bearing' | 'distance'; readonly sigma: number }[];
}

/**
 * Gauss-Helmert: A·x + B·(e - e0) = w, with e ~ N(0, Q), so that x = (A'MA)⁻¹A'Mw with
 * M = (B·Q·B')⁻¹ and e = Q·B'·M·(w - A·x). Source: Mikhail and Ackermann, 1976 (memory).
 */
export function denseAdjustment({ nodes, lines, sources }: DenseNetwork) {
  const own = 2 * lines.length;
  const count = own + sources.length;
  const variances = [
    ...lines.flatMap((line) => [line.alongVariance, line.acrossVariance]),
    ...sources.map(({ sigma }) => sigma ** 2),
  ];
  const q = Matrix.diag(variances);
  const a = Matrix.zeros(own, 2 * (nodes - 1));
  for (const [i, { from, to }] of lines.entries()) {
    for (const row of [0, 1]) {
      if (to > 0) a.set(2 * i + row, 2 * (to - 1) + row, 1);
      if (from > 0) a.set(2 * i + row, 2 * (from - 1) + row, -1);
    }
  }
  let errors = Matrix.zeros(count, 1);
  for (let round = 0; ; round++) {
    const b = Matrix.zeros(own, count);
    const w = Matrix.zeros(own, 1);
    for (const [i, line] of lines.entries()) {
      let [longer, turn] = [errors.get(2 * i, 0), errors.get(2 * i + 1, 0)];
      for (const { source, share } of line.shared) {
        const error = share * errors.get(own + source, 0);
        if (sources[source]!.of === 'distance') longer += error;
        else turn += error;
      }
      const length = line.metres * (1 + longer);
      const [sin, cos] = [Math.sin(line.bearing + turn), Math.cos(line.bearing + turn)];
      const stretch = [line.metres * sin, line.metres * cos];
      const swing = [length * cos, -length * sin];
      for (const row of [0, 1]) {
        w.set(2 * i + row, 0, length * [sin, cos][row]!);
        b.set(2 * i + row, 2 * i, stretch[row]!);
        b.set(2 * i + row, 2 * i + 1, swing[row]!);
        for (const { source, share } of line.shared) {
          const by = sources[source]!.of === 'distance' ? stretch : swing;
          const before = b.get(2 * i + row, own + source);
          b.set(2 * i + row, own + source, before + share * by[row]!);
        }
      }
    }
    const m = inverse(b.mmul(q).mmul(b.transpose()));
    const right = w.clone().sub(b.mmul(errors));
    const covariance = inverse(a.transpose().mmul(m).mmul(a));
    const x = covariance.mmul(a.transpose()).mmul(m).mmul(right);
    const next = q.mmul(b.transpose()).mmul(m).mmul(a.mmul(x).sub(right));
    const moved = next.clone().sub(errors).norm();
    errors = next;
    if (moved > 1e-9 && round < 60) continue;
    const chiSquare = variances.reduce(
      (sum, variance, i) => sum + (variance > 0 ? errors.get(i, 0) ** 2 / variance : 0),
      0,
    );
    return { places: [0, 0, ...x.to1DArray()], covariance, chiSquare, errors: errors.to1DArray() };
  }
}
