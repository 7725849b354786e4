import { bearingDegrees as degreesOf, type BearingReading } from '../../../readings/bearing';
import { normalised } from '../../../units/angle';
import type { Degrees } from '../../../units/units';
import type { Slip, SlipId, SlipLeg } from '../slip';

/** A declination below this shows in no loop. */
const LEAST_DEGREES = 3;

/**
 * A slip with the declination D, on one leg or from one leg on: the leg lies some multiple of it
 * elsewhere, and would have been written as `read` says.
 */
const byDeclination = (
  id: SlipId,
  prior: number,
  says: string,
  times: number,
  read: (bearing: BearingReading, east: Degrees) => BearingReading | null,
): Slip => ({
  id,
  prior,
  lookAt: 'the sum that turned the bearing, and which north it was read from',
  goesOn: true,
  of({ bearingDegrees, metres, norths, reading }: SlipLeg) {
    const east = norths.declinationEast;
    if (east === null || Math.abs(east) < LEAST_DEGREES) return [];
    const bearing = read(reading.bearing, east);
    if (!bearing) return [];
    const lies = normalised(bearingDegrees + times * east);
    return [{ bearingDegrees: lies, metres, suggested: { ...reading, bearing }, says }];
  },
});

const turned = (bearing: BearingReading, by: Degrees): BearingReading => ({
  unit: 'degrees',
  value: Math.round(normalised(degreesOf(bearing) + by)) % 360,
  north: bearing.north,
});

const isOffMap = ({ north }: BearingReading) => north !== 'magnetic';

/** A bearing from a map that was walked by the needle as it stands. */
export const declinationOmitted = byDeclination(
  'declination-omitted',
  0.004,
  'the declination was left out: it was walked by the needle as it stands',
  1,
  (bearing) => (isOffMap(bearing) ? { ...bearing, north: 'magnetic' } : null),
);

/** One that had been corrected already: a true bearing, written as the needle's. */
export const declinationDoubled = byDeclination(
  'declination-doubled',
  0.004,
  'the declination was applied twice: the bearing was corrected already',
  -1,
  (bearing, east) =>
    isOffMap(bearing) ? turned(bearing, -east) : { ...bearing, north: 'true' as const },
);

/** East for west: twice the declination off. */
export const declinationReversed = byDeclination(
  'declination-reversed',
  0.004,
  'the declination was applied the wrong way: east for west',
  2,
  (bearing, east) => (isOffMap(bearing) ? turned(bearing, 2 * east) : null),
);
