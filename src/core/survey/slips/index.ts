import { declinationDoubled, declinationOmitted, declinationReversed } from './bearing/declination';
import { digitsTransposed, hundredDegrees, tenDegrees } from './bearing/degrees-off';
import { halfCircle } from './bearing/half-circle';
import { hundredMetres, tenPaces } from './distance/beads';
import { doublePaces, singleSteps, unit } from './distance/units';
import { boxSide } from './line/box-side';
import { notWritten } from './line/not-written';
import { writtenTwice } from './line/written-twice';
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
