'use client';
import { useEffect } from 'react';
import { NORTH_WORDS } from '@/core/entries/describe';
import { isThere } from '@/core/navigation/ways/way';
import type { Solution } from '@/core/survey/solution';
import { forgetLastHome, keepLastHome } from '@/store/last-home';
import { awake } from '@/ui/first-second/last-home-script';
import { homeFigures, homeWords } from '@/views/shared/ways/home-words';

/** Keeps the way home for the first second of the next visit, whenever it changes. */
export function useLastHome(solution: Solution | null): void {
  useEffect(() => {
    if (!solution) return;
    awake();
    const { outing } = solution;
    const figures = homeFigures(solution);
    if (isThere(figures.way)) return forgetLastHome(outing.id);
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
