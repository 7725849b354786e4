import { signedDifference, threeDigits, windBearing, type Wind } from '../angle';
import type { Check, Warning } from './check';

const MOST_OFF_DEGREES = 90;
/** So near to half a circle the reading is not rough but turned round. */
const HALF_CIRCLE_WITHIN = 30;

/** `expected-other-way`: the traveller said roughly which way the leg should go, and it goes more than 90° off. */
export const expectedOtherWay: Check = ({ outing, traverse }) => {
  const warnings: Warning[] = [];
  let expected: Wind | null = null;
  let leg = 0;
  outing.entries.forEach((entry, index) => {
    if (entry.kind === 'expect') expected = entry.wind;
    if (entry.kind !== 'leg') return;
    leg++;
    const wind = expected;
    expected = null;
    if (wind === null) return;
    const bearing = traverse.bearingDegrees[leg]!;
    const off = Math.abs(signedDifference(windBearing(wind), bearing));
    if (off <= MOST_OFF_DEGREES) return;
    const turned = 180 - off <= HALF_CIRCLE_WITHIN;
    const cause = turned
      ? ' That is half a circle: map upside down, arrow reversed, or housing reversed?'
      : '';
    warnings.push({
      code: 'expected-other-way',
      at: { entry: index },
      message: `You expected roughly ${wind}, and the leg goes ${threeDigits(bearing)}: ${Math.round(off)}° off.${cause} Check by the sun or the slope before you go on.`,
    });
  });
  return warnings;
};
