import { LEAST_PACED, OTHER_GROUND, type ErrorSettings } from '../model/error-settings';
import type { PaceInUse } from './means';

/**
 * The errors of paces by a calibration of n walks.
 *
 * | symbol | meaning                                             | equation            |
 * | P      | spread of a new walk, as the `pace` line gives it   | s·√(1 + 1/n)        |
 * | s      | spread of one walk about the true mean              | P / √(1 + 1/n)      |
 * | own    | of each leg                                         | P, at least 2 %     |
 * | shared | of the length of the pace                           | √(s²/n + (2 %)²)    |
 *
 * The mean's own error is in both: few walks tell the spread badly, and with it counted once too
 * few new walks lie within (tests/core/pacing/calibration.test.ts).
 */
const ofOneWalk = (spread: number, walks: number) => spread / Math.sqrt(1 + 1 / walks);

/** One sigma of a paced distance by itself, over its length. */
export const ownSpread = ({ spread }: PaceInUse, errors: ErrorSettings): number =>
  spread === null ? errors.paced : Math.max(LEAST_PACED, spread);

/** One sigma of the length of the pace, over it. */
export function paceLengthSigma(
  { spread, walks, isUnit, ground }: PaceInUse,
  errors: ErrorSettings,
): number {
  // A unit has no error of its own; the pace of another ground is another pace than the unit.
  if (isUnit && ground === '') return 0;
  if (spread === null || walks === null) return errors['pace-length'];
  return Math.hypot(ofOneWalk(spread, walks) / Math.sqrt(walks), OTHER_GROUND);
}
