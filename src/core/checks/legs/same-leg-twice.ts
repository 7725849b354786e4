import equal from 'fast-deep-equal';
import type { SolvedLeg } from '../../survey/solution';
import type { Check, Warning } from '../check';

/** `same-leg-twice`: the same bearing and count as the leg before, and on from it. */
export const sameLegTwice: Check = ({ legs }) => {
  const warnings: Warning[] = [];
  let before: SolvedLeg | null = null;
  for (const leg of legs) {
    const goesOn = before !== null && leg.from === before.to;
    if (
      before &&
      goesOn &&
      equal(before.reading.bearing, leg.reading.bearing) &&
      equal(before.reading.distance, leg.reading.distance)
    ) {
      const message =
        `The same bearing and count as leg ${before.number}: logged twice? ` +
        'If so, strike one out.';
      warnings.push({ code: 'same-leg-twice', at: { entry: leg.entry }, message });
    }
    before = leg;
  }
  return warnings;
};
