import type { Check, Warning } from '../check';

/** `ground-without-pace`: a leg in paces names a ground without a pace; the general one is used. */
export const groundWithoutPace: Check = ({ outing, places }) => {
  // In paces there is no other pace to take them for.
  if (places.frame.unit === 'pace') return [];
  const known = new Set<string>();
  const warned = new Set<string>();
  const warnings: Warning[] = [];
  for (const [index, entry] of outing.entries.entries()) {
    if (entry.kind === 'pace' && entry.ground) known.add(entry.ground);
    if (entry.kind !== 'leg' || entry.ground === undefined) continue;
    const counted = entry.distance.unit === 'paces' || entry.distance.unit === 'steps';
    if (!counted || known.has(entry.ground) || warned.has(entry.ground)) continue;
    warned.add(entry.ground);
    const message =
      `No pace is known for ${entry.ground}: your general pace is used. ` +
      'Calibrate it under Pace calibration.';
    warnings.push({ code: 'ground-without-pace', at: { entry: index }, message });
  }
  return warnings;
};
