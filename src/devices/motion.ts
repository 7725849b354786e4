import type { Result } from '../core/units/result';
import type { DeviceFault } from './position';

/** The magnitude of the acceleration (m/s², with gravity) at a time (seconds, rising). */
interface MotionSample {
  readonly seconds: number;
  readonly size: number;
}

/** An accelerometer. */
export interface MotionDevice {
  /** Starts sending samples; resolves to a function that stops it. */
  start(listener: (sample: MotionSample) => void): Promise<Result<() => void, DeviceFault>>;
}
