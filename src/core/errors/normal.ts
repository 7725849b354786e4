/**
 * The standard normal distribution function, by Abramowitz and Stegun, Handbook of Mathematical
 * Functions, 1964, 7.1.26. Its error of 1.5e-7 is far below what chances are stated to.
 */
export function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const polynomial =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const tail = (polynomial * Math.exp(-x * x)) / 2;
  return z > 0 ? 1 - tail : tail;
}
