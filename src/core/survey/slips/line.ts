import type { Slip } from './slip';
import { signedDifference } from '../../units/angle';

/** Turned left for right, or the reverse, where an obstacle was left: out twice, never back. */
export const boxSide: Slip = {
  id: 'box-side',
  prior: 0.01,
  lookAt: 'which way you turned to come back to the line',
  of({ bearingDegrees, metres, box }) {
    if (!box) return [];
    const rightMetres = (box.side === 'right' ? 2 : -2) * box.outMetres;
    const says = 'the second turn around the obstacle went the wrong way';
    return [{ bearingDegrees, metres, rightMetres, suggested: null, says }];
  },
};

/** A leg that was walked and never written: somewhere on the loop, by any way and length. */
export const notWritten: Slip = {
  id: 'not-written',
  prior: 0.002,
  lookAt: 'whether a leg is missing before or after it',
  of: ({ bearingDegrees, metres }) =>
    metres === 0
      ? []
      : [
          {
            bearingDegrees,
            metres,
            suggested: null,
            missingMetres: metres / Math.SQRT2,
            says: 'a leg beside it was not written',
          },
        ],
};

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
