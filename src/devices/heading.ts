import type { Degrees } from '../core/units/units';
import type { Result } from '../core/units/result';
import type { DeviceFault } from './position';

/** A compass: which way the device points, in degrees from magnetic north. */
export interface HeadingDevice {
  /** Starts sending headings; resolves to a function that stops it. */
  start(listener: (magneticDegrees: Degrees) => void): Promise<Result<() => void, DeviceFault>>;
}
