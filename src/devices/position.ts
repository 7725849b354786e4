import type { Position } from '../core/readings/position';
import type { Result } from '../core/units/result';
import type { Metres } from '../core/units/units';

/** Where the device says it is. */
interface PositionFix {
  readonly position: Position;
  /** The radius that the device claims: 95 % by the W3C's Geolocation text, though few keep it. */
  readonly accuracyMetres: Metres;
}

/** Why a device gave nothing: it isn't there, wasn't allowed, or didn't answer in time. */
export type DeviceFault = 'absent' | 'refused' | 'no-answer';

/** A position sensor. */
export interface PositionDevice {
  read(): Promise<Result<PositionFix, DeviceFault>>;
}
