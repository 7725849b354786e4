import type { Leg } from '../../../entries/entry';
import type { DistanceReading } from '../../../readings/distance';
import type { Metres } from '../../../units/units';
import type { Instead, SlipLeg } from '../slip';

/** A leg of another length, with what would then have been written. */
export function withMetres(
  leg: SlipLeg,
  metres: Metres,
  distance: DistanceReading | null,
  says: string,
): Instead {
  const suggested: Leg | null = distance && { ...leg.reading, distance };
  return { bearingDegrees: leg.bearingDegrees, metres, suggested, says };
}
