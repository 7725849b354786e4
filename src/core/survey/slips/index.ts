import { boxSide, notWritten, writtenTwice } from './line';
import { doublePaces, hundredMetres, singleSteps, tenPaces, unit } from './distance';
import {
  declinationDoubled,
  declinationOmitted,
  declinationReversed,
  digitsTransposed,
  halfCircle,
  hundredDegrees,
  tenDegrees,
} from './bearing';
import type { Slip } from './slip';

/** The slips of a bearing by itself, which a sighting may have as well as a leg. */
export const BEARING_SLIPS: readonly Slip[] = [
  halfCircle,
  tenDegrees,
  hundredDegrees,
  digitsTransposed,
  declinationOmitted,
  declinationDoubled,
  declinationReversed,
];

/**
 * Every slip of a reading. A new one is one more file, or a line beside its kin, and a line here.
 * Leaving or reaching the wrong station is in `wrong-station.ts`: it changes what is joined.
 */
export const SLIPS: readonly Slip[] = [
  ...BEARING_SLIPS,
  hundredMetres,
  tenPaces,
  singleSteps,
  doublePaces,
  unit,
  boxSide,
  writtenTwice,
  notWritten,
];
