import type { ErrorSettings } from '../model/error-settings';

/**
 * One sigma of a paced distance over its length, by the spread of a calibration if there is one.
 */
export const pacedSigma = (errors: ErrorSettings, spread: number | null): number =>
  spread === null ? errors.distance : Math.max(errors.leastPacedDistance, spread);
