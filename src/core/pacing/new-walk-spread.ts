import { DEFAULT_ERRORS, LEAST_PACED, type ErrorSettings } from '../model/error-settings';

/**
 * How far a new walk is from the length of pace that a calibration of a few walks gave.
 *
 * | symbol | meaning                                        | equation                          |
 * | n      | walks of the calibration                       |                                   |
 * | s_w    | their standard deviation over their mean       |                                   |
 * | σ0, ν0 | usual spread, and how many walks it is worth   | 5 %, 3                            |
 * | s²     | spread, shrunk: two walks may agree by chance  | (ν0σ0² + (n-1)s_w²)/(ν0 + n - 1)  |
 * | P      | spread of a new walk about their mean          | s·√(1 + 1/n), at least 2 %        |
 *
 * Source: the scaled inverse chi-square prior of a normal variance, as in Gelman and others,
 * Bayesian Data Analysis, 3.3 (memory).
 */
const PRIOR_WALKS = 3;

/** One sigma of a new walk over its length; `spread` is null for a single walk. */
export function newWalkSpread(
  spread: number | null,
  walks: number,
  errors: ErrorSettings = DEFAULT_ERRORS,
): number {
  const observed = spread === null ? 0 : (walks - 1) * spread ** 2;
  const degrees = PRIOR_WALKS + (spread === null ? 0 : walks - 1);
  const shrunk = (PRIOR_WALKS * errors.paced ** 2 + observed) / degrees;
  return Math.max(LEAST_PACED, Math.sqrt(shrunk * (1 + 1 / walks)));
}
