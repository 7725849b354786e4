'use client';
import { useEffect, useState } from 'react';
import type { EarthModels } from '@/core/north/earth-models';

/** Loads the models of the earth's field and of the grid; the offline cache has them too. */
export const loadEarthModels = async (): Promise<EarthModels> =>
  (await import('@/core/north/loaded-earth-models')).earthModels;

/** The models, loaded only when something asks for them; null until then. */
export function useEarthModels(needed: boolean): EarthModels | null {
  const [models, setModels] = useState<EarthModels | null>(null);
  useEffect(() => {
    if (!needed || models) return;
    let gone = false;
    void loadEarthModels().then((loaded) => {
      if (!gone) setModels(loaded);
    });
    return () => {
      gone = true;
    };
  }, [needed, models]);
  return models;
}
