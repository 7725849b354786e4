'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
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
  /** Those that are off by now: a second switch may come before the first is kept. */
  const off = useRef(kept.off);
  useEffect(() => {
    off.current = kept.off;
  }, [kept.off]);
  /** Shows or hides a layer. */
  const show = useCallback(
    (layer: string, isShown: boolean) => {
      const others = off.current.filter((each) => each !== layer);
      off.current = isShown ? others : [...others, layer];
      return choose({ off: off.current });
    },
    [choose],
  );
  return { choices, choose, show };
}
