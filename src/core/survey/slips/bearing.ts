import { bearingDegrees, CIRCLE, type BearingReading } from '../../readings/bearing';
import { normalised, signedDifference, COMPASS_POINTS } from '../../units/angle';
import type { Degrees } from '../../units/units';
import type { Slip, SlipId, SlipLeg, Instead } from './slip';
import type { Leg } from '../../entries/entry';
import { nth } from '../../units/nth';

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
  value: Math.round(normalised(bearingDegrees(bearing) + by)) % 360,
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

/** A leg read in degrees that is off by so many, either way, within the circle. */
function offBy(leg: SlipLeg, by: Degrees): Instead[] {
  const { bearing } = leg.reading;
  if (bearing.unit !== 'degrees') return [];
  return [bearing.value - by, bearing.value + by]
    .filter((value) => value >= 0 && value < 360)
    .map((value) => withDegrees(leg, value, `the bearing is ${by}° off`));
}

/** Ten degrees: a neighbouring figure on the dial. */
export const tenDegrees: Slip = {
  id: 'ten-degrees',
  prior: 0.005,
  lookAt: 'the dial, between its figures',
  of: (leg) => offBy(leg, 10),
};

/** A hundred degrees: a wrong first digit. */
export const hundredDegrees: Slip = {
  id: 'hundred-degrees',
  prior: 0.004,
  lookAt: 'the first digit',
  of: (leg) => offBy(leg, 100),
};

/** Two digits that stand beside each other, the wrong way round. */
export const digitsTransposed: Slip = {
  id: 'digits-transposed',
  prior: 0.003,
  lookAt: 'the digits',
  of(leg) {
    const { bearing } = leg.reading;
    if (bearing.unit !== 'degrees' || !Number.isInteger(bearing.value)) return [];
    const digits = String(bearing.value).padStart(3, '0');
    const [a = '', b = '', c = ''] = digits;
    return (
      [b + a + c, a + c + b]
        .filter((other) => other !== digits && Number(other) < 360)
        // Ten degrees, a hundred, and 180 are slips of their own.
        .filter((other) => ![10, 100, 180].includes(Math.abs(turnTo(bearing.value, Number(other)))))
        .map((other) => withDegrees(leg, Number(other), 'two digits of the bearing are swapped'))
    );
  },
};

const turnTo = (from: Degrees, to: Degrees): Degrees => signedDifference(from, to);

const OPPOSITE = { N: 'S', S: 'N', E: 'W', W: 'E' } as const;

/** The same direction read from the other end, in the unit in which it was read. */
function opposite(reading: BearingReading): BearingReading {
  switch (reading.unit) {
    case 'quadrant':
      return { ...reading, from: OPPOSITE[reading.from], toward: OPPOSITE[reading.toward] };
    case 'wind': {
      const across = (COMPASS_POINTS.indexOf(reading.wind) + 8) % COMPASS_POINTS.length;
      return { ...reading, wind: nth(COMPASS_POINTS, across) };
    }
    default: {
      const { unit, north, value } = reading;
      const turned = unit === 'degrees' ? normalised(value + 180) : value + CIRCLE[unit] / 2;
      return { unit, north, value: turned % CIRCLE[unit] };
    }
  }
}

/** The map or the compass reversed, or the wrong end of the needle read. */
export const halfCircle: Slip = {
  id: 'half-circle',
  prior: 0.01,
  lookAt: 'which way the leg went: the sun, the slope, the wind, the way you came back',
  of: (leg) => [withBearing(leg, opposite(leg.reading.bearing), 'the bearing is 180° off')],
};

/** A leg with another bearing in degrees, as its reader would have written it. */
function withDegrees(leg: SlipLeg, value: Degrees, says: string): Instead {
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
function withBearing(leg: SlipLeg, bearing: BearingReading, says: string): Instead {
  const turn = signedDifference(bearingDegrees(leg.reading.bearing), bearingDegrees(bearing));
  const suggested: Leg = { ...leg.reading, bearing };
  return {
    bearingDegrees: normalised(leg.bearingDegrees + turn),
    metres: leg.metres,
    suggested,
    says,
  };
}
