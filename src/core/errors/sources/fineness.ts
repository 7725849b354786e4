import { radians } from '../../units/units';
import type { ErrorSource } from './source';

/** Below this a turn shortens nothing that counts: 10 000 m lose less than 7 m. */
const COARSE_DEGREES = 10;

/**
 * What a bearing was read to, a whole degree or a compass point: uniform over that width.
 *
 * | symbol | meaning                                     | equation                              |
 * | w      | half the width                              |                                       |
 * | σ²     | variance of the bearing                     | w²/3                                  |
 * | p²     | a leg turned by e reaches cos e as far:     | E(1 - cos e)²                         |
 * |        | the mean square of what is missing          | = 3/2 - 2·sin w/w + sin 2w/(4w)       |
 */
export const fineness: ErrorSource = {
  id: 'fineness',
  of: 'bearing',
  bearing: ({ finenessDegrees }) => radians(finenessDegrees / 2) ** 2 / 3,
  distance: ({ finenessDegrees }) => {
    if (finenessDegrees < COARSE_DEGREES) return 0;
    const w = radians(finenessDegrees / 2);
    return 1.5 - (2 * Math.sin(w)) / w + Math.sin(2 * w) / (4 * w);
  },
};
