import type { Aim } from '../entries/reckoning';
import type { Degrees } from '../units/units';

/** The standard deviations that uncertainty is computed from, one sigma each. */
export interface ErrorSettings {
  /** Following a bearing, by how it is followed. */
  readonly bearingDegrees: Readonly<Record<Aim, Degrees>>;
  /** A distance over its length, where nothing better is known. */
  readonly distance: number;
  /** The least of a paced distance, however well the walks of its calibration agree. */
  readonly leastPacedDistance: number;
  /** A distance by time and speed. */
  readonly timedDistance: number;
  /** Shared by all bearings: the compass, and how it is held. */
  readonly compassDegrees: Degrees;
  /** Shared by all distances: the length of the pace. */
  readonly paceScale: number;
}

/** Common practice, no source. */
export const DEFAULT_ERRORS: ErrorSettings = {
  bearingDegrees: { needle: 4, landmark: 2, sighted: 1 },
  distance: 0.05,
  leastPacedDistance: 0.02,
  timedDistance: 0.1,
  compassDegrees: 1.5,
  paceScale: 0.04,
};
