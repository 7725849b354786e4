import type { Aim } from '../entries/reckoning';
import type { Degrees } from '../units/units';

/** The calibration that paces are turned into metres by. */
export interface PaceInUse {
  /** The same for all paces on one ground with one calibration. */
  readonly key: string;
  /** The ground that the paces are on; empty for none in particular. */
  readonly ground: string;
  /** One sigma of a new walk over its length; null where no calibration tells it. */
  readonly spread: number | null;
  /** The walks of the calibration; null where that isn't said. */
  readonly walks: number | null;
  /** True where all is worked in this pace: its length is the unit of all lengths. */
  readonly isUnit?: true;
}

/** How a stretch is walked: all that its errors depend on, beside the readings themselves. */
export interface Means {
  readonly aim: Aim;
  /** The compass; null for a bearing off the map, followed without one. */
  readonly compass: string | null;
  readonly distance: 'paced' | 'timed' | 'measured';
  /** Null unless paced. */
  readonly pace: PaceInUse | null;
}

/** A stretch as it was walked: its means, and what its readings add. */
export interface Walked {
  readonly means: Means;
  /** What the bearing was read to: its last digit, or the sector of its compass point. */
  readonly finenessDegrees: Degrees;
  /** Of the slope; 0 where it is level. */
  readonly slopeTangent: number;
  /** How far its back bearing disagrees, where that is too much for two readings; else 0. */
  readonly ironDegrees: Degrees;
  /** True where its length was estimated: it is half as sure. */
  readonly isAbout: boolean;
}
