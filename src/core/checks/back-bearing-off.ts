import { backBearing, signedDifference, threeDigits } from '../angle';
import { converted } from '../north';
import { bearingDegrees } from '../reading';
import type { Check, Warning } from './check';
import type { Solution } from '../solve';

/** Degrees by which a back bearing may differ from 180° before it is worth a word. Common practice, no source. */
const TOLERANCE_DEGREES = 5;

/** `back-bearing-off`: forward and back bearing differ from half a circle by more than 5°. */
export const backBearingOff: Check = (solution: Solution): Warning[] => {
  const warnings: Warning[] = [];
  for (let leg = 1; leg <= solution.traverse.legs; leg++) {
    const entry = solution.entryOfLeg[leg]!;
    const line = solution.outing.entries[entry]!;
    if (line.kind !== 'leg' || !line.back) continue;
    const out = { degrees: bearingDegrees(line.bearing), north: line.bearing.north };
    const same = converted(
      { degrees: bearingDegrees(line.back), north: line.back.north },
      out.north,
      solution.norths,
    );
    if (!same) continue;
    const expected = backBearing(out.degrees);
    const off = Math.abs(signedDifference(expected, same.degrees));
    if (off <= TOLERANCE_DEGREES) continue;
    warnings.push({
      code: 'back-bearing-off',
      at: { entry },
      message: `The back bearing ${threeDigits(same.degrees)} differs from ${threeDigits(expected)} by ${Math.round(off)}°. Iron near, or a slip at one end? Look back and read again.`,
    });
  }
  return warnings;
};
