import equal from 'fast-deep-equal';
import type { Leg } from '../logbook';
import type { Check, Warning } from './check';

/** `same-leg-twice`: the same bearing and count as the leg before, and on from it. */
export const sameLegTwice: Check = ({ outing, traverse, entryOfLeg, stationOfLeg }) => {
  const warnings: Warning[] = [];
  for (let leg = 2; leg <= traverse.legs; leg++) {
    const [before, entry] = [entryOfLeg[leg - 1]!, entryOfLeg[leg]!];
    const [first, second] = [outing.entries[before] as Leg, outing.entries[entry] as Leg];
    if (traverse.from[leg] !== stationOfLeg[leg - 1]) continue;
    if (!equal(first.bearing, second.bearing) || !equal(first.distance, second.distance)) continue;
    warnings.push({
      code: 'same-leg-twice',
      at: { entry },
      message: `The same bearing and count as leg ${leg - 1}: logged twice? If so, strike one out.`,
    });
  }
  return warnings;
};
