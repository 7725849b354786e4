'use client';
import type { Metres } from '@/core/units/units';
import { useKept } from '@/views/shared/data/use-kept';
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

/** What is kept, as far as it has the right types. */
function remembered(kept: Record<string, unknown>): WayChoices {
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
export const useWayChoices = (outing: string) =>
  useKept(`cairn-ways-${outing}`, remembered, 'typed');
export type ChooseWays = ReturnType<typeof useWayChoices>[1];
