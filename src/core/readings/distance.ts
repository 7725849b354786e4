import * as z from 'zod/mini';
import {
  METRES_PER_CHAIN,
  METRES_PER_FOOT,
  METRES_PER_KILOMETRE,
  METRES_PER_MILE,
  METRES_PER_YARD,
  plainDecimal,
  type Metres,
} from '../units/units';
import { openObject, positiveAmount } from './shape';

export const LENGTH_UNITS = [
  'paces',
  'steps',
  'metres',
  'kilometres',
  'feet',
  'yards',
  'miles',
  'chains',
  'links',
] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];

/** True for a distance that was estimated: `about 50m`, `~50m`. */
const isAbout = z.optional(z.literal(true));

/** A count or a length. */
const lengthReading = openObject({
  unit: z.enum(LENGTH_UNITS),
  value: positiveAmount,
  about: isAbout,
});
export type LengthReading = z.infer<typeof lengthReading>;

/** A distance as it was read: a count, a length, or minutes at a speed. */
export const distanceReading = z.discriminatedUnion('unit', [
  lengthReading,
  openObject({
    unit: z.literal('minutes'),
    value: positiveAmount,
    kilometresPerHour: positiveAmount,
    about: isAbout,
  }),
]);
export type DistanceReading = z.infer<typeof distanceReading>;

/** A count of paces or of single steps. */
export const countReading = openObject({
  unit: z.enum(['paces', 'steps']),
  value: positiveAmount,
  about: isAbout,
});
export type CountReading = z.infer<typeof countReading>;

/** True for a length that was counted: it needs a pace to be metres. */
export const isCount = (reading: DistanceReading): reading is CountReading =>
  reading.unit === 'paces' || reading.unit === 'steps';

/** Metres along the ground; NaN for a count of paces where no pace length is known. */
export function metresAlong(reading: DistanceReading, paceLength: Metres): Metres {
  switch (reading.unit) {
    case 'paces':
      return reading.value * paceLength;
    case 'steps':
      return (reading.value * paceLength) / 2;
    case 'metres':
      return reading.value;
    case 'kilometres':
      return reading.value * METRES_PER_KILOMETRE;
    case 'feet':
      return reading.value * METRES_PER_FOOT;
    case 'yards':
      return reading.value * METRES_PER_YARD;
    case 'miles':
      return reading.value * METRES_PER_MILE;
    case 'chains':
      return reading.value * METRES_PER_CHAIN;
    case 'links':
      return (reading.value * METRES_PER_CHAIN) / 100;
    case 'minutes':
      return (reading.value / 60) * reading.kilometresPerHour * METRES_PER_KILOMETRE;
  }
}

/** The unit that a bare length on a leg is in: the leg's own, or metres for one that was timed. */
export const bareUnitOf = ({ unit }: DistanceReading): LengthUnit =>
  unit === 'minutes' ? 'metres' : unit;

const UNIT_TEXT: Readonly<Record<LengthUnit, string>> = {
  paces: 'p',
  steps: 's',
  metres: 'm',
  kilometres: 'km',
  feet: 'ft',
  yards: 'yd',
  miles: 'mi',
  chains: 'ch',
  links: 'lk',
};

/** A distance as written in a log. */
export function writeDistance(reading: DistanceReading): string {
  const about = reading.about ? '~' : '';
  const value = about + plainDecimal(reading.value);
  return reading.unit === 'minutes'
    ? `${value}min@${plainDecimal(reading.kilometresPerHour)}kmh`
    : value + UNIT_TEXT[reading.unit];
}
