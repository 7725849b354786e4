import type { Check, Warning } from './check';

/** Legs shorter than this add more error than ground. Common practice, no source. */
const SHORT_METRES = 15;

/** `leg-short`: a leg under 15 m. */
export const legShort: Check = ({ traverse, entryOfLeg }) => {
  const warnings: Warning[] = [];
  for (let leg = 1; leg <= traverse.legs; leg++) {
    const metres = traverse.lengthMetres[leg]!;
    if (metres >= SHORT_METRES) continue;
    warnings.push({
      code: 'leg-short',
      at: { entry: entryOfLeg[leg]! },
      message: `Only ${Math.round(metres)} m: many short legs add error. Where you can, take a mark 50 to 100 m ahead.`,
    });
  }
  return warnings;
};
