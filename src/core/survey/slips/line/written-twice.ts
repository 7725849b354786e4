import { signedDifference } from '../../../units/angle';
import type { Slip } from '../slip';

/** Nearer than this, in degrees and of the length, two legs are the same one. */
const ALIKE_DEGREES = 5;
const ALIKE_LENGTH = 0.05;

/** The same leg in the log twice. */
export const writtenTwice: Slip = {
  id: 'written-twice',
  prior: 0.02,
  lookAt: 'whether you really walked it twice',
  of({ bearingDegrees, metres, before }) {
    if (!before) return [];
    const turn = Math.abs(signedDifference(bearingDegrees, before.bearingDegrees));
    const isAlike = turn <= ALIKE_DEGREES && Math.abs(metres / before.metres - 1) <= ALIKE_LENGTH;
    if (!isAlike) return [];
    const says = 'it is written twice';
    return [{ bearingDegrees, metres: 0, suggested: null, isNothing: true, says }];
  },
};
