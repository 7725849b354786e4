import type { Position } from '../core/logbook';
import type { Result } from '../core/result';
import type { Metres } from '../core/units';

/** Where the device says it is. */
interface PositionFix {
  readonly position: Position;
  /** The radius, in metres, that the device vouches for: 95 % by the W3C's Geolocation text, though few keep to it. */
  readonly accuracyMetres: Metres;
}

/** Why a device gave nothing: it has no such sense, it was not allowed, or it did not answer in time. */
export type DeviceFault = 'absent' | 'refused' | 'no-answer';

/** A thing that knows where it is. */
export interface PositionDevice {
  read(): Promise<Result<PositionFix, DeviceFault>>;
}
