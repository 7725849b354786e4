import type { Degrees } from '../core/units';
import type { Result } from '../core/result';
import type { DeviceFault } from './position';

/** A thing that tells which way it points, as its own needle has it: degrees clockwise from magnetic north. */
export interface HeadingDevice {
  /** Starts to tell headings; resolves to how to stop. */
  start(listener: (magneticDegrees: Degrees) => void): Promise<Result<() => void, DeviceFault>>;
}
