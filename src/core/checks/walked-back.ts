import { backBearing, signedDifference } from '../angle';
import type { Check, Warning } from './check';

const WITHIN_DEGREES = 5;
const WITHIN_SHARE = 0.05 + 1e-9;

/** `walked-back`: a leg within 5° and 5 % of the reverse of the one before, that names no station it came back to. */
export const walkedBack: Check = ({ traverse, entryOfLeg, stationOfLeg }) => {
  const { bearingDegrees, lengthMetres, from } = traverse;
  const warnings: Warning[] = [];
  for (let leg = 2; leg <= traverse.legs; leg++) {
    if (from[leg] !== stationOfLeg[leg - 1] || stationOfLeg[leg] !== leg) continue;
    const turn = signedDifference(backBearing(bearingDegrees[leg - 1]!), bearingDegrees[leg]!);
    const share = Math.abs(lengthMetres[leg]! / lengthMetres[leg - 1]! - 1);
    if (Math.abs(turn) > WITHIN_DEGREES || share > WITHIN_SHARE) continue;
    warnings.push({
      code: 'walked-back',
      at: { entry: entryOfLeg[leg]! },
      message: `This leg goes back along leg ${leg - 1}: was it the way back already? If you came back to a station, name it with > to close the loop.`,
    });
  }
  return warnings;
};
