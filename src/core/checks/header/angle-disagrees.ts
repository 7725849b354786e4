import { angleText, signedDifference } from '../../units/angle';
import type { Check } from '../check';

/** How far a stated angle may be from the model's. Common practice, no source. */
const TOLERANCE_DEGREES = 1;

/** `angle-disagrees`: a margin's or a typed declination is more than 1° from the model's. */
export const angleDisagrees: Check = ({ places }) => {
  const { field, statedEast, declinationSource } = places.frame.norths;
  if (!field || statedEast === null || declinationSource === 'model') return [];
  const off = Math.abs(signedDifference(field.eastDegrees, statedEast));
  if (off <= TOLERANCE_DEGREES) return [];
  const mirrored = Math.abs(signedDifference(field.eastDegrees, -statedEast)) <= TOLERANCE_DEGREES;
  const cause = mirrored
    ? 'East and west swapped?'
    : 'Check the angle, its letter, the date, and the position of the start.';
  const message =
    `Declination is set to ${angleText(statedEast)}, but ${field.model} gives ` +
    `${angleText(field.eastDegrees)} here: ${off.toFixed(1)}° apart. ${cause}`;
  return [{ code: 'angle-disagrees', at: { header: 'declination' }, message }];
};
