'use client';
import { useEffect, useState } from 'react';
import { knowsPlaces, type Outing } from '@/core/model/outing';
import type { SurveyTools } from '@/core/survey/solution';

export const loadSurveyTools = async (): Promise<SurveyTools> =>
  (await import('@/core/survey/adjusted/survey-tools')).surveyTools;

/** True where an outing is adjusted: it can't be solved before the tools are loaded. */
export const isAdjusted = (outing: Outing | null): boolean =>
  (outing?.adjust?.method ?? 'as-walked') !== 'as-walked';

/** True where an outing is adjusted, or has fixes that place it. */
export const usesTools = (outing: Outing | null): boolean =>
  outing !== null && (isAdjusted(outing) || knowsPlaces(outing));

/** What adjusts and solves fixes, loaded only where something asks for it; null until then. */
export function useSurveyTools(isAsked: boolean): SurveyTools | null {
  const [tools, setTools] = useState<SurveyTools | null>(null);
  const waits = isAsked && tools === null;
  useEffect(() => {
    if (!waits) return;
    let gone = false;
    void loadSurveyTools().then((loaded) => {
      if (!gone) setTools(loaded);
    });
    return () => {
      gone = true;
    };
  }, [waits]);
  return tools;
}
