'use client';
import { useEffect, useState } from 'react';
import type { EarthModels } from '@/core/earth-models';

/** The models of the earth's field and of the grid, loaded only when something asks for them. */
export function useEarthModels(needed: boolean): EarthModels | null {
  const [models, setModels] = useState<EarthModels | null>(null);
  useEffect(() => {
    if (!needed || models) return;
    let gone = false;
    void import('@/core/earth-models-loaded').then((loaded) => {
      if (!gone) setModels(loaded.earthModels);
    });
    return () => {
      gone = true;
    };
  }, [needed, models]);
  return models;
}
