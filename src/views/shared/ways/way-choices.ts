'use client';
import { useState } from 'react';
import type { Metres } from '@/core/units/units';
import { keepChoice, keptObject } from '@/store/kept-choice';
import { USUAL_SIGHT_METRES } from '@/views/shared/words/words';

export type Side = 'left' | 'right';

/** What a person says of the ways home of an outing. */
export interface WayChoices {
  /** The bearing of a line through home, as typed; empty for none. */
  readonly line: string;
  readonly side: Side;
  /** How far away home is seen. */
  readonly sight: Metres;
  /** Null for the person's own speed, or the usual one. */
  readonly kilometresPerHour: number | null;
  readonly climb: Metres;
  /** A station to go home by. */
  readonly via: number | null;
}

const USUAL: WayChoices = {
  line: '',
  side: 'right',
  sight: USUAL_SIGHT_METRES,
  kilometresPerHour: null,
  climb: 0,
  via: null,
};

const keyOf = (outing: string) => `cairn-ways-${outing}`;

/** What is kept, as far as it has the right types: another version may have kept other things. */
function keptChoices(outing: string): WayChoices {
  const kept = keptObject(keyOf(outing));
  const number = (value: unknown) => (typeof value === 'number' ? value : null);
  return {
    line: typeof kept.line === 'string' ? kept.line : USUAL.line,
    side: kept.side === 'left' ? 'left' : 'right',
    sight: number(kept.sight) ?? USUAL.sight,
    kilometresPerHour: number(kept.kilometresPerHour),
    climb: number(kept.climb) ?? USUAL.climb,
    via: number(kept.via),
  };
}

/** The choices about the ways home of an outing, the same in every view, kept on the device. */
export function useWayChoices(outing: string) {
  const [choices, setChoices] = useState(() => keptChoices(outing));
  const choose = (change: Partial<WayChoices>) => {
    const next = { ...choices, ...change };
    setChoices(next);
    keepChoice(keyOf(outing), JSON.stringify(next));
  };
  return [choices, choose] as const;
}
export type ChooseWays = ReturnType<typeof useWayChoices>[1];
