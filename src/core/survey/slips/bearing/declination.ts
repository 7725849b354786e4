import { bearingDegrees as degreesOf, type BearingReading } from '../../../readings/bearing';
import { normalised } from '../../../units/angle';
import type { Degrees } from '../../../units/units';
import type { Slip, SlipId, SlipLeg } from '../slip';

/** A declination below this shows in no loop. */
const LEAST_DEGREES = 3;

/** How a reading may lie by a slip with the declination, and how it would have been written. */
interface Mistaken {
  /** So many declinations elsewhere. */
  readonly times: number;
  readonly says: string;
  readonly read: (bearing: BearingReading, east: Degrees) => BearingReading;
}

/** A slip with the declination D, on one leg or from one leg on: off the map, and by the needle. */
const byDeclination = (
  id: SlipId,
  offMap: readonly Mistaken[],
  byNeedle: readonly Mistaken[],
): Slip => ({
  id,
  prior: 0.004,
  lookAt: 'the sum that turned the bearing, and which north it was read from',
  goesOn: true,
  of({ bearingDegrees, metres, norths, reading }: SlipLeg) {
    const east = norths.declinationEast;
    if (east === null || Math.abs(east) < LEAST_DEGREES) return [];
    const ways = reading.bearing.north === 'magnetic' ? byNeedle : offMap;
    return ways.map(({ times, says, read }) => ({
      bearingDegrees: normalised(bearingDegrees + times * east),
      metres,
      suggested: { ...reading, bearing: read(reading.bearing, east) },
      says,
    }));
  },
});

const turned = (bearing: BearingReading, by: Degrees): BearingReading => ({
  unit: 'degrees',
  value: Math.round(normalised(degreesOf(bearing) + by)) % 360,
  north: bearing.north,
});

/** A bearing from a map that was walked by the needle as it stands. */
export const declinationOmitted = byDeclination(
  'declination-omitted',
  [
    {
      times: 1,
      says: 'the declination was left out: it was walked by the needle as it stands',
      read: (bearing) => ({ ...bearing, north: 'magnetic' }),
    },
  ],
  [],
);

/** One that had been corrected already: a true bearing, written as the needle's, or twice over. */
export const declinationDoubled = byDeclination(
  'declination-doubled',
  [
    {
      times: -1,
      says: 'the declination was applied twice: the bearing was corrected already',
      read: (bearing, east) => turned(bearing, -east),
    },
  ],
  [
    {
      times: -1,
      says: 'the declination was applied twice: the bearing was corrected already',
      read: (bearing) => ({ ...bearing, north: 'true' }),
    },
    {
      times: -2,
      says: 'the declination was applied three times: the bearing was corrected twice already',
      read: (bearing, east) => turned(bearing, -2 * east),
    },
  ],
);

/** East for west: off the map twice the declination off, by the needle once. */
export const declinationReversed = byDeclination(
  'declination-reversed',
  [
    {
      times: 2,
      says: 'the declination was applied the wrong way: east for west',
      read: (bearing, east) => turned(bearing, 2 * east),
    },
  ],
  [
    {
      times: 1,
      says: 'the bearing was corrected already, the wrong way: east for west',
      read: (bearing, east) => turned(bearing, east),
    },
  ],
);
