import type { Walked } from '../errors/means';
import type { SharedSum } from '../errors/shared-errors';
import { ERROR_SOURCES } from '../errors/sources';
import type { SharedScale } from '../errors/sources/source';
import type { PlanePoint } from '../units/plane';

/** What a stretch with some means has of each shared error. */
export const sharedAlong = (
  { east, north }: PlanePoint,
  walked: Walked,
  scale: SharedScale,
): SharedSum[] =>
  ERROR_SOURCES.flatMap(({ shared, share }) => {
    const error = shared?.(walked.means, scale);
    const amount = share?.(walked) ?? 1;
    return error && amount !== 0 ? [{ error, east: amount * east, north: amount * north }] : [];
  });
