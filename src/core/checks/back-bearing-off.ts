import { backBearing, signedDifference, threeDigits } from '../angle';
import { disturbances, undisturbed, type TwoEndedLine } from '../local-attraction';
import type { Leg } from '../logbook';
import { converted } from '../north';
import { bearingDegrees } from '../reading';
import { stationName, type Solution } from '../solve';
import type { Check, Warning } from './check';

/** How far a back bearing may differ from 180° before it is worth a word. Common practice, no source. */
const TOLERANCE_DEGREES = 5;
/** A reading that would move by less than this is left as it is. */
const LEAST_MEND_DEGREES = 1;

interface Line extends TwoEndedLine {
  readonly leg: number;
  readonly entry: number;
}

/** The legs with a bearing from each end, all from the north of the needle, where iron acts. */
function twoEnded(solution: Solution): Line[] {
  const lines: Line[] = [];
  for (let leg = 1; leg <= solution.traverse.legs; leg++) {
    const entry = solution.entryOfLeg[leg]!;
    const { bearing, back } = solution.outing.entries[entry] as Leg;
    if (!back) continue;
    const out = { degrees: bearingDegrees(bearing), north: bearing.north };
    const home = { degrees: bearingDegrees(back), north: back.north };
    const [forward, backward] = [out, home].map((each) =>
      converted(each, 'magnetic', solution.norths),
    );
    if (!forward || !backward) continue;
    const [from, to] = [solution.traverse.from[leg]!, solution.stationOfLeg[leg]!];
    lines.push({ leg, entry, from, to, forward: forward.degrees, back: backward.degrees });
  }
  return lines;
}

/** The leg with its bearing freed of a disturbance, when it was read in plain degrees by the needle. */
function mended(solution: Solution, { entry, forward }: Line, disturbance: number): Leg | null {
  const leg = solution.outing.entries[entry] as Leg;
  if (Math.abs(disturbance) < LEAST_MEND_DEGREES) return null;
  if (leg.bearing.unit !== 'degrees' || leg.bearing.north !== 'magnetic') return null;
  const value = Math.round(undisturbed(forward, disturbance)) % 360;
  return { ...leg, bearing: { unit: 'degrees', value, north: 'magnetic' } };
}

/** `back-bearing-off`: forward and back bearing differ from half a circle by more than 5°. */
export const backBearingOff: Check = (solution) => {
  const lines = twoEnded(solution);
  const known = disturbances(lines, TOLERANCE_DEGREES);
  return lines.flatMap((line): Warning[] => {
    const expected = backBearing(line.forward);
    const off = signedDifference(expected, line.back);
    if (Math.abs(off) <= TOLERANCE_DEGREES) return [];
    const saw = `Looking back, ${threeDigits(line.back)} was read where ${threeDigits(expected)} would answer the way out: ${Math.abs(Math.round(off))}° apart.`;
    const [atFrom, atTo] = [known.get(line.from), known.get(line.to)];
    const disturbed =
      atFrom !== undefined && Math.abs(atFrom) > TOLERANCE_DEGREES
        ? line.from
        : atTo !== undefined && Math.abs(atTo) > TOLERANCE_DEGREES
          ? line.to
          : null;
    if (disturbed === null) {
      return [
        {
          code: 'back-bearing-off',
          at: { entry: line.entry },
          message: `${saw} Iron near, or a slip at one end? Put iron away, look back and read again.`,
        },
      ];
    }
    const amount = known.get(disturbed)!;
    const side = amount > 0 ? 'too much' : 'too little';
    const blame = `The lines around tell that the compass read ${Math.abs(Math.round(amount))}° ${side} at ${stationName(solution, disturbed)}: iron there?`;
    const mend = disturbed === line.from ? mended(solution, line, amount) : null;
    return [
      {
        code: 'back-bearing-off',
        at: { entry: line.entry },
        message: `${saw} ${blame} ${disturbed === line.from ? 'This leg was taken there.' : 'This leg’s own bearing stands.'}`,
        ...(mend ? { mend } : {}),
      },
    ];
  });
};
