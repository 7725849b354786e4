'use client';
import { useCallback, useMemo } from 'react';
import { byExercise, NOT_BEGUN, standingAfter, type Standing } from '@/core/practice/schedule';
import { attempts } from '@/store/practice/practice';
import { useLive } from '@/ui/use-live';
import { browserDatabase } from '@/store/browser-database';

/** All attempts, and where one stands with each exercise; null until they are read. */
export function usePractice() {
  const live = useLive(useCallback(() => attempts(browserDatabase()), []));
  const all = live && 'value' in live ? live.value : null;
  const standings = useMemo((): ReadonlyMap<string, Standing> => {
    const grouped = byExercise(all ?? []);
    return new Map([...grouped].map(([exercise, tried]) => [exercise, standingAfter(tried)]));
  }, [all]);
  const standingOf = useCallback(
    (exercise: string) => standings.get(exercise) ?? NOT_BEGUN,
    [standings],
  );
  return { attempts: all, failed: live !== null && 'error' in live, standings, standingOf };
}

export type PracticeState = ReturnType<typeof usePractice>;
