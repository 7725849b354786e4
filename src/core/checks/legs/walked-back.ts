import type { SolvedLeg } from '../../survey/solution';
import { backBearing, signedDifference } from '../../units/angle';
import type { Check, Warning } from '../check';

const WITHIN_DEGREES = 5;
const WITHIN_SHARE = 0.05 + 1e-9;

const isReverse = (leg: SolvedLeg, before: SolvedLeg): boolean => {
  const turn = signedDifference(backBearing(before.bearingDegrees), leg.bearingDegrees);
  const share = Math.abs(leg.metres / before.metres - 1);
  return Math.abs(turn) <= WITHIN_DEGREES && share <= WITHIN_SHARE;
};

/** `walked-back`: a leg within 5° and 5 % of the reverse of the one before, back to no station. */
export const walkedBack: Check = ({ legs }) => {
  const warnings: Warning[] = [];
  let before: SolvedLeg | null = null;
  for (const leg of legs) {
    if (before && leg.from === before.to && !leg.returns && isReverse(leg, before)) {
      const message =
        `This leg goes back along leg ${before.number}: was it the way back already? If you came ` +
        'back to a station, name it with > to close the loop.';
      warnings.push({ code: 'walked-back', at: { entry: leg.entry }, message });
    }
    before = leg;
  }
  return warnings;
};
