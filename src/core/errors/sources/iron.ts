import { radians } from '../../units/units';
import type { ErrorSource } from './source';

/** More than this is a slip, not iron. Common practice, no source. */
const MOST_IRON_DEGREES = 30;

/**
 * Iron at a station. Where the back bearing disagrees, one of the two readings has all of it and
 * nobody knows which: half its square, for a leg that is taken as first read.
 */
export const iron: ErrorSource = {
  id: 'iron',
  of: 'bearing',
  bearing: ({ ironDegrees, means }, errors) =>
    means.compass === null
      ? 0
      : radians(errors.iron) ** 2 + radians(Math.min(MOST_IRON_DEGREES, ironDegrees)) ** 2 / 2,
};
