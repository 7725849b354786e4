'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useKept } from '@/views/shared/data/use-kept';

/** How someone likes the map of an outing: remembered for each. */
export interface MapChoices {
  /** The picture that lies below; null for none. */
  readonly picture: string | null;
  /** How strongly the picture is shown, in per cent. */
  readonly strength: number;
  /** The layers that are switched off, by name. */
  readonly off: readonly string[];
  readonly grid: boolean;
  /** Null for the one that suggests itself. */
  readonly route: string | null;
  readonly area: string | null;
  /** Other outings that are shown. */
  readonly outings: readonly string[];
}

const WHOLE = 100;
const text = (value: unknown) => (typeof value === 'string' ? value : null);
const texts = (value: unknown) =>
  Array.isArray(value) ? value.filter((each): each is string => typeof each === 'string') : [];

const remembered = (kept: Record<string, unknown>): MapChoices => ({
  picture: text(kept.picture),
  strength: typeof kept.strength === 'number' ? kept.strength : WHOLE,
  off: texts(kept.off),
  grid: kept.grid === true,
  route: text(kept.route),
  area: text(kept.area),
  outings: texts(kept.outings),
});

/** The choices for an outing; those that the address made come first, until others are made. */
export function useMapChoices(outing: string, first: Partial<MapChoices>) {
  const [kept, keep] = useKept(`cairn-map ${outing}`, remembered);
  const [asked, setAsked] = useState(first);
  const choices = useMemo(() => ({ ...kept, ...asked }), [kept, asked]);
  // The next visit, by another door, finds them again.
  useEffect(() => void (Object.keys(asked).length > 0 && keep(asked)), [asked, keep]);
  const choose = useCallback(
    (change: Partial<MapChoices>) => {
      setAsked({});
      return keep(change);
    },
    [keep],
  );
  /** Shows or hides a layer. */
  const show = useCallback(
    (layer: string, isShown: boolean) =>
      choose({ off: [...kept.off.filter((each) => each !== layer), ...(isShown ? [] : [layer])] }),
    [choose, kept.off],
  );
  return { choices, choose, show };
}
