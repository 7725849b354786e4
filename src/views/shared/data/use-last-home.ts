'use client';
import { useEffect } from 'react';
import { NORTH_WORDS } from '@/core/entries/describe';
import { isThere } from '@/core/navigation/ways/way';
import type { Solution } from '@/core/survey/solution';
import { keepAtHome, keepLastHome } from '@/store/last-home';
import { awake } from '@/ui/first-second/last-home-script';
import { homeFigures, homeWords } from '@/views/shared/ways/home-words';

/** The log is copied once nothing was changed for a moment: a leg is not waited for. */
const COPY_AFTER_MS = 1000;

/** Keeps the log that is worked on in a second place, in case the browser empties its database. */
function useLastLog(solution: Solution | null): void {
  useEffect(() => {
    if (!solution || solution.outing.entries.length === 0) return;
    const timer = setTimeout(async () => {
      const [{ writeLog }, { keepLastLog }] = await Promise.all([
        import('@/core/log-text/write-log'),
        import('@/store/storage-watch'),
      ]);
      keepLastLog(writeLog(solution.outing));
    }, COPY_AFTER_MS);
    return () => clearTimeout(timer);
  }, [solution]);
}

/** Keeps the way home for the first second of the next visit, whenever it changes. */
export function useLastHome(solution: Solution | null): void {
  useLastLog(solution);
  useEffect(() => {
    if (!solution) return;
    awake();
    const { outing } = solution;
    const figures = homeFigures(solution);
    if (isThere(figures.way)) return keepAtHome(outing.id);
    const { walk, to, sure } = homeWords(figures);
    keepLastHome(outing.id, {
      name: outing.name,
      bearing: figures.bearing,
      north: NORTH_WORDS[figures.north],
      walk,
      to,
      sure,
      at: Date.now(),
    });
  }, [solution]);
}
