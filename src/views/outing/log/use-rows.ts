import { figureUnits } from '@/ui/units/shown';
import { useMemo, useState } from 'react';
import { warningsOf } from '@/core/checks';
import type { Solution } from '@/core/survey/solution';
import { logRows, rowsWith } from './log-rows';

/** The rows of the log pane, what is searched for, and whether struck lines show. */
export function useRows(solution: Solution) {
  const warnings = useMemo(() => warningsOf(solution, figureUnits()), [solution]);
  const [showsStruck, setShowsStruck] = useState(false);
  const [sought, setSought] = useState<string | null>(null);
  const rows = useMemo(
    () => rowsWith(logRows(solution, warnings, showsStruck), sought ?? ''),
    [solution, warnings, showsStruck, sought],
  );
  return { warnings, rows, showsStruck, setShowsStruck, sought, setSought };
}

export type RowsState = ReturnType<typeof useRows>;
