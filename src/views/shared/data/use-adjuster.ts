'use client';
import { useEffect, useState } from 'react';
import { knowsPlaces, type Outing } from '@/core/model/outing';

/** Whether an outing can be solved, and whether what was loaded for it is there. */
export interface Adjusting {
  /** False while an outing asks for a method that is still being loaded. */
  readonly canSolve: boolean;
  /** Changes once it is loaded: an outing that a fix pins is then solved anew. */
  readonly isLoaded: boolean;
}

/** What adjusts an outing, or solves its fixes, is loaded only where the outing asks for it. */
export function useAdjuster(outing: Outing | null): Adjusting {
  const [isLoaded, setIsLoaded] = useState(false);
  const adjusts = (outing?.adjust?.method ?? 'as-walked') !== 'as-walked';
  const isAsked = adjusts || (outing !== null && knowsPlaces(outing));
  useEffect(() => {
    if (!isAsked || isLoaded) return;
    let gone = false;
    void import('@/core/survey/adjusted/provided').then(() => {
      if (!gone) setIsLoaded(true);
    });
    return () => {
      gone = true;
    };
  }, [isAsked, isLoaded]);
  return { canSolve: isLoaded || !adjusts, isLoaded };
}
