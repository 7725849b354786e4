import { bearingText } from '../../units/figures';
import { walkLog } from '../../survey/log-walk';
import { compassPointBearing, signedDifference, type CompassPoint } from '../../units/angle';
import type { Check, Warning } from '../check';

const MOST_OFF_DEGREES = 90;
/** So near to 180° the reading is not rough but reversed. */
const REVERSED_WITHIN_DEGREES = 30;

/** `expected-other-way`: a leg goes more than 90° off the direction that was expected. */
export const expectedOtherWay: Check = (solution, units) => {
  const warnings: Warning[] = [];
  let expected: CompassPoint | null = null;
  for (const { entry, index, leg } of walkLog(solution)) {
    if (entry.kind === 'expect') expected = entry.wind;
    if (entry.kind !== 'leg' || !leg) continue;
    const point = expected;
    expected = null;
    if (point === null) continue;
    const off = Math.abs(signedDifference(compassPointBearing(point), leg.bearingDegrees));
    if (off <= MOST_OFF_DEGREES) continue;
    const reversed = 180 - off <= REVERSED_WITHIN_DEGREES;
    const cause = reversed
      ? ' That is a 180° error: plate or housing turned round, map upside down, or the south ' +
        'end of the needle?'
      : '';
    const message =
      `You expected roughly ${point}, but the leg goes ` +
      `${bearingText(leg.bearingDegrees, units)}: ${Math.round(off)}° off.${cause} ` +
      `Check by the sun or the slope before you go on.`;
    warnings.push({ code: 'expected-other-way', at: { entry: index }, message });
  }
  return warnings;
};
