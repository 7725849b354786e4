import type { Pixel } from '@/sketch/view';
import type { MapBase } from './base';
import type { PlateState } from './panels/protractor';
import type { Placing } from './things/thing-props';

/** What a tap on the map means. A new tool is a line here, and its panel in tool-panel.tsx. */
const MODES = ['look', 'measure', 'point', 'route', 'line', 'protractor', 'tie'] as const;
export type Mode = (typeof MODES)[number];

/** Of how many taps, beside the newest, each tool is made; a tap more begins again. */
const TAPS_KEPT: Readonly<Record<Mode, number>> = {
  look: 0,
  measure: 1,
  point: 0,
  route: 1000,
  line: 1000,
  protractor: 1,
  tie: 0,
};

/** Tools that say nothing where the map is nowhere on the earth. */
const ON_EARTH: ReadonlySet<Mode> = new Set(['route', 'line']);

/** The tools of a map. */
export const modesOf = ({ opened, origin }: MapBase): Mode[] =>
  MODES.filter((mode) => {
    if (mode === 'tie') return opened !== null;
    return !ON_EARTH.has(mode) || origin !== null || opened !== null;
  });

/** What the hand holds: a tool, what was tapped with it, and what is chosen. */
export interface InHand {
  readonly mode: Mode;
  readonly taps: readonly Pixel[];
  readonly plate: PlateState;
  /** The key of the thing that is chosen. */
  readonly chosen: string | null;
  readonly placing: Placing | null;
}

/** The same after a tap that the tool keeps. */
export function afterTap(before: InHand, pixel: Pixel): InHand {
  const { mode, taps } = before;
  if (mode === 'look') return before;
  const kept = TAPS_KEPT[mode];
  return { ...before, taps: [...(taps.length > kept ? [] : taps.slice(0, kept)), pixel] };
}
