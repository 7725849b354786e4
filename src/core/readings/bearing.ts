import * as z from 'zod/mini';
import { COMPASS_POINTS, compassPointBearing, normalised } from '../units/angle';
import { NORTH_LETTERS, NORTHS, type North } from '../units/bearing';
import { plainDecimal, type Degrees } from '../units/units';
import { numberUpTo, openObject } from './shape';
import { nth } from '../units/nth';

export const northSchema = z.enum(NORTHS);
export const compassPointSchema = z.enum(COMPASS_POINTS);
const word = z.optional(compassPointSchema);

/** A full circle in each unit of a plain number. */
export const CIRCLE = { degrees: 360, mils: 6400, gon: 400 } as const;
type NumberUnit = keyof typeof CIRCLE;

const ofNumber = <Unit extends NumberUnit>(unit: Unit) =>
  openObject({
    unit: z.literal(unit),
    value: numberUpTo(CIRCLE[unit]),
    word,
    north: northSchema,
  });

/** A bearing as it was read. The unit `wind` is a compass point. */
export const bearingReading = z.discriminatedUnion('unit', [
  ofNumber('degrees'),
  ofNumber('mils'),
  ofNumber('gon'),
  openObject({
    unit: z.literal('quadrant'),
    from: z.enum(['N', 'S']),
    value: numberUpTo(90),
    toward: z.enum(['E', 'W']),
    north: northSchema,
  }),
  openObject({ unit: z.literal('wind'), wind: compassPointSchema, north: northSchema }),
]);
export type BearingReading = z.infer<typeof bearingReading>;

/** The bearing of a reading, in [0, 360), from the north that the reading names. */
export function bearingDegrees(reading: BearingReading): Degrees {
  switch (reading.unit) {
    case 'degrees':
      return reading.value >= 360 ? 0 : reading.value;
    case 'mils':
    case 'gon':
      return normalised((reading.value * 360) / CIRCLE[reading.unit]);
    case 'wind':
      return compassPointBearing(reading.wind);
    case 'quadrant': {
      const signed = (reading.toward === 'E') === (reading.from === 'N') ? 1 : -1;
      return normalised((reading.from === 'N' ? 0 : 180) + signed * reading.value);
    }
  }
}

const UNIT_TEXT: Readonly<Record<NumberUnit, string>> = { degrees: '', mils: 'mil', gon: 'gon' };

/** No north is assumed: every bearing is written with its letter. */
export const NO_NORTH = 'none';

/** A bearing as written in a log; its north's letter is left out where it is `read`. */
export function writeBearing(reading: BearingReading, read: North | typeof NO_NORTH): string {
  const letter = reading.north === read ? '' : NORTH_LETTERS[reading.north];
  if (reading.unit === 'wind') return reading.wind + letter;
  if (reading.unit === 'quadrant') {
    return reading.from + plainDecimal(reading.value) + reading.toward + letter;
  }
  const number = plainDecimal(reading.value);
  const padded =
    reading.unit === 'degrees' ? number.replace(/^\d+/, (whole) => whole.padStart(3, '0')) : number;
  return padded + UNIT_TEXT[reading.unit] + letter + (reading.word ? ` ${reading.word}` : '');
}

/** The sector of a compass point, by how many letters it has: of 4, of 8 and of 16 winds. */
const SECTOR_DEGREES: readonly Degrees[] = [0, 90, 45, 22.5];
/** True for a whole number, but for rounding. */
export const isWhole = (value: number) =>
  Math.abs(value - Math.round(value)) < 1e-9 * Math.max(1, Math.abs(value));

/** The place of a number's last digit: 1 for 220, 0.1 for 220.5; at least a thousandth. */
function lastPlace(value: number): number {
  if (isWhole(value)) return 1;
  if (isWhole(10 * value)) return 0.1;
  return isWhole(100 * value) ? 0.01 : 0.001;
}

/** What a bearing was read to, by how it was written: its last digit, or its compass point. */
export function finenessDegrees(reading: BearingReading): Degrees {
  if (reading.unit === 'wind') return nth(SECTOR_DEGREES, reading.wind.length);
  if (Number.isInteger(reading.value) && reading.unit === 'degrees') return 1;
  const circle = reading.unit === 'quadrant' ? CIRCLE.degrees : CIRCLE[reading.unit];
  return lastPlace(reading.value) * (CIRCLE.degrees / circle);
}
