import type { Leg } from '../../../entries/entry';
import { bearingDegrees, type BearingReading } from '../../../readings/bearing';
import { normalised, signedDifference } from '../../../units/angle';
import type { Degrees } from '../../../units/units';
import type { Instead, SlipLeg } from '../slip';

/** A leg with another bearing in degrees, as its reader would have written it. */
export function withDegrees(leg: SlipLeg, value: Degrees, says: string): Instead {
  const { word: _word, ...bearing } = {
    word: undefined,
    ...leg.reading.bearing,
    unit: 'degrees' as const,
    value: normalised(value),
  };
  const read: BearingReading = { unit: 'degrees', value: bearing.value, north: bearing.north };
  return withBearing(leg, read, says);
}

/** A leg with another bearing; the back bearing stays as it was read. */
export function withBearing(leg: SlipLeg, bearing: BearingReading, says: string): Instead {
  const turn = signedDifference(bearingDegrees(leg.reading.bearing), bearingDegrees(bearing));
  const suggested: Leg = { ...leg.reading, bearing };
  return {
    bearingDegrees: normalised(leg.bearingDegrees + turn),
    metres: leg.metres,
    suggested,
    says,
  };
}
