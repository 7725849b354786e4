import type { DistanceReading } from '../readings/distance';
import { walkLog } from './log-walk';
import type { Solution } from './solution';

/** What was walked along obstacles, by the entry of the leg that each was boxed on. */
export function alongsOf(solution: Solution): ReadonlyMap<number, readonly DistanceReading[]> {
  const found = new Map<number, DistanceReading[]>();
  for (const { entry, leg } of walkLog(solution)) {
    if (entry.kind !== 'box' || !leg) continue;
    found.set(leg.entry, [...(found.get(leg.entry) ?? []), entry.along]);
  }
  return found;
}
