import { bearingDigits } from '@/core/units/angle';
import { figureUnits } from '@/ui/units/shown';
import type { Degrees } from '@/core/units/units';

const MILS = 6400;

/** How a bearing is keyed: digits until it is whole, what stands after them in a log. */
interface BearingKeys {
  readonly digits: number;
  readonly unit: string;
  readonly ofDegrees: (degrees: Degrees) => string;
  readonly toDegrees: (digits: string) => Degrees;
}

const DEGREES: BearingKeys = {
  digits: 3,
  unit: '',
  ofDegrees: bearingDigits,
  toDegrees: (digits) => Number(digits) % 360 || 0,
};

const IN_MILS: BearingKeys = {
  digits: 4,
  unit: 'mil',
  ofDegrees: (degrees) => String(Math.round((degrees * MILS) / 360) % MILS).padStart(4, '0'),
  toDegrees: (digits) => Math.round((Number(digits) * 360) / MILS) % 360 || 0,
};

/** By the person's units; a quadrant is keyed as the bearing in degrees that it is. */
export const bearingKeys = (): BearingKeys =>
  figureUnits().bearings === 'mils' ? IN_MILS : DEGREES;
