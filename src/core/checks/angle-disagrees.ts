import { angleWords, signedDifference } from '../angle';
import type { Check } from './check';

/** How far a stated angle may be from the model's before it is worth a word. Common practice, no source. */
const TOLERANCE_DEGREES = 1;

/** `angle-disagrees`: a margin's or a typed declination is more than 1° from the model's at the start. */
export const angleDisagrees: Check = ({ norths }) => {
  const { field, statedEast, declinationSource } = norths;
  if (!field || statedEast === null || declinationSource === 'model') return [];
  const off = Math.abs(signedDifference(field.eastDegrees, statedEast));
  if (off <= TOLERANCE_DEGREES) return [];
  const mirrored = Math.abs(signedDifference(field.eastDegrees, -statedEast)) <= TOLERANCE_DEGREES;
  const meant = mirrored
    ? ' East and west swapped?'
    : ' Check the angle, its letter, the date, and the position of the start.';
  return [
    {
      code: 'angle-disagrees',
      at: { header: 'declination' },
      message: `Declination is set to ${angleWords(statedEast)}, and ${field.model} says ${angleWords(field.eastDegrees)} here: ${off.toFixed(1)}° apart.${meant}`,
    },
  ];
};
