import type { Entry, Leg } from '../entries/entry';
import { walkLog } from '../survey/log-walk';
import type { Solution } from '../survey/solution';
import { changedElsewhere, checked, isUnchanged, type Command } from './command';

/** A last line that says where one is, without a leg to there: nobody had counted, or said so. */
export interface Uncounted {
  readonly index: number;
  readonly seen: Entry;
  /** The station where one was before. */
  readonly from: number;
}

/** The arrival at another station that a log ends with uncounted; null for none. */
export function uncountedArrival(solution: Solution): Uncounted | null {
  let from = 0;
  let found: Uncounted | null = null;
  for (const { entry, index, station } of walkLog(solution)) {
    found = entry.kind === 'here' && station !== from ? { index, seen: entry, from } : null;
    from = station;
  }
  return found;
}

/** Puts the leg, whose count is known only now, in the place of the line that says where one is. */
export const countedAfterwards =
  ({ index, seen }: Uncounted, leg: Leg): Command =>
  (outing, models) =>
    isUnchanged(outing, index, seen) && index === outing.entries.length - 1
      ? checked(outing, models, [{ op: 'replace', index, before: seen, after: leg }])
      : changedElsewhere;
