'use client';
import { useEffect, useState } from 'react';
import type { Header } from '@/core/model/header';
import type { EarthModels } from '@/core/north/earth-models';
import { canUseEarthModels, needsEarthModels, needsGridModel } from '@/core/north/outing-norths';

/** What is loaded: nothing, the earth's field, or the grids of maps with it. */
type Wanted = 'none' | 'field' | 'grid';

/** Loads the models of the earth's field and of the grid; the offline cache has them too. */
export const loadEarthModels = async (): Promise<EarthModels> =>
  (await import('@/core/north/loaded-earth-models')).earthModels;

const loadField = async (): Promise<EarthModels> =>
  (await import('@/core/north/field-alone')).fieldAlone;

/** What an outing can use: the field also where it only checks what the outing says. */
export function modelsUsed(header: Header | null): Wanted {
  if (!header || !canUseEarthModels(header)) return 'none';
  return needsGridModel(header) ? 'grid' : 'field';
}

/** What an outing can't be solved without. */
export const modelsNeeded = (header: Header | null): Wanted =>
  header && needsEarthModels(header) ? modelsUsed(header) : 'none';

/** The models, loaded only when something asks for them; null until then. */
export function useEarthModels(wanted: Wanted): EarthModels | null {
  const [loaded, setLoaded] = useState<{ what: Wanted; models: EarthModels } | null>(null);
  const isEnough = wanted === 'none' || loaded?.what === wanted || loaded?.what === 'grid';
  useEffect(() => {
    if (isEnough) return;
    let gone = false;
    void (wanted === 'grid' ? loadEarthModels() : loadField()).then((models) => {
      if (!gone) setLoaded({ what: wanted, models });
    });
    return () => {
      gone = true;
    };
  }, [isEnough, wanted]);
  return loaded?.models ?? null;
}
