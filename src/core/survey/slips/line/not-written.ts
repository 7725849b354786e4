import type { Slip } from '../slip';

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
