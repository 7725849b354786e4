/**
 * Numbers with their unit in their type: degrees that are passed on can't stand where metres are
 * asked for. What is computed is a plain number again, and goes anywhere.
 */
export type Degrees = number & { readonly unit?: 'degrees' };
export type Radians = number & { readonly unit?: 'radians' };
export type Metres = number & { readonly unit?: 'metres' };

/** Metres in one unit, from its definition (international yard and pound agreement, 1959). */
export const METRES_PER_FOOT = 0.3048;
export const METRES_PER_YARD = 3 * METRES_PER_FOOT;
export const METRES_PER_MILE = 5280 * METRES_PER_FOOT;
/** A chain of 66 feet, as foresters and land surveyors use it. */
export const METRES_PER_CHAIN = 66 * METRES_PER_FOOT;
export const METRES_PER_KILOMETRE = 1000;

export const radians = (angle: Degrees): Radians => (angle * Math.PI) / 180;
export const degrees = (angle: Radians): Degrees => (angle * 180) / Math.PI;

/** Plain decimal digits, never an exponent; reading the digits gives the number back. */
export function plainDecimal(value: number): string {
  const text = String(value);
  const found = /^(-?)(\d+)(?:\.(\d+))?e([+-]\d+)$/.exec(text);
  if (!found) return text;
  const [, sign, whole = '', fraction = '', exponent] = found;
  const digits = whole + fraction;
  const point = whole.length + Number(exponent);
  if (point <= 0) return `${sign}0.${'0'.repeat(-point)}${digits}`;
  if (point >= digits.length) return sign + digits + '0'.repeat(point - digits.length);
  return `${sign}${digits.slice(0, point)}.${digits.slice(point)}`;
}
