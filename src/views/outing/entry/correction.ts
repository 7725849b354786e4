import { useMemo } from 'react';
import type { Strike } from '@/core/edit/ink';
import type { Outing } from '@/core/model/outing';
import type { EarthModels } from '@/core/north/earth-models';
import { inForceAt } from '@/core/survey/in-force';
import { solve } from '@/core/survey/solve';
import type { Solution } from '@/core/survey/solution';
import type { North } from '@/core/units/bearing';

const LONGEST_REASON = 2000;

/** A strike at this moment, with a reason if there is one. */
export function strikeNow(reason: string): Strike {
  const why = reason
    .replace(/[\s|]+/g, ' ')
    .trim()
    .slice(0, LONGEST_REASON);
  return { at: new Date().toISOString(), ...(why === '' ? {} : { reason: why }) };
}

/** The north of bearings without a letter on a line of the log. */
export const northAt = (outing: Outing, index: number): North =>
  inForceAt(outing, index).readingNorth;

/**
 * The log up to the line that is written to: a correction is read where it is, not at the end,
 * where null stands.
 */
export function usePlaceOf(
  index: number | null,
  solution: Solution,
  models: EarthModels | null,
): Solution {
  return useMemo(() => {
    if (index === null) return solution;
    const { outing, tools } = solution;
    const entries = outing.entries.slice(0, index);
    const before = solve({ ...outing, entries }, models, { tools });
    return before.ok ? before.value : solution;
  }, [index, solution, models]);
}
