import type { Check, Warning } from './check';

/** `ground-without-pace`: a leg counted in paces names a ground that has no pace of its own; the general one is used. */
export const groundWithoutPace: Check = ({ outing }) => {
  const known = new Set<string>();
  const told = new Set<string>();
  const warnings: Warning[] = [];
  outing.entries.forEach((entry, index) => {
    if (entry.kind === 'pace' && entry.ground) known.add(entry.ground);
    if (entry.kind !== 'leg' || entry.ground === undefined) return;
    const counted = entry.distance.unit === 'paces' || entry.distance.unit === 'steps';
    if (!counted || known.has(entry.ground) || told.has(entry.ground)) return;
    told.add(entry.ground);
    warnings.push({
      code: 'ground-without-pace',
      at: { entry: index },
      message: `No pace is known for ${entry.ground}: your general one is used. Calibrate it under Paces.`,
    });
  });
  return warnings;
};
