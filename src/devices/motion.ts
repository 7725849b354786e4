import type { Result } from '../core/result';
import type { DeviceFault } from './position';

/** The size of the acceleration (m/s², gravity included) at a time (seconds, rising). */
interface MotionSample {
  readonly seconds: number;
  readonly size: number;
}

/** A thing that feels motion. */
export interface MotionDevice {
  /** Starts to tell samples; resolves to how to stop. */
  start(listener: (sample: MotionSample) => void): Promise<Result<() => void, DeviceFault>>;
}
