'use client';
import { useSyncExternalStore } from 'react';
import {
  ANGLE_NAMES,
  BEARING_SYSTEMS,
  LENGTH_SYSTEMS,
  USUAL_UNITS,
  type AngleName,
  type ShownUnits,
} from '@/core/units/figures';
import { showIn } from '@/ui/units/shown';
import { keepChoice } from '@/store/keep-choice';
import { keptChoice, keptObject, onKept } from '@/store/kept-choice';

const UNITS_KEY = 'cairn-units';
/** The grid that places are shown in: `utm`, the name of one, or nothing for the national one. */
export const GRID_KEY = 'cairn-grid';

/** Where maps are printed with these grids the angle is called magnetic variation. */
const OF_VARIATION = new Set(['british', 'irish', 'itm', 'nztm', 'nzmg']);
const angleNameOf = (grid: string | null): AngleName =>
  grid !== null && OF_VARIATION.has(grid) ? 'variation' : USUAL_UNITS.angle;

/** What the person chose on this device, which another version may have written. */
function chosen(): ShownUnits {
  const { lengths, bearings, angle } = keptObject(UNITS_KEY);
  return {
    lengths: LENGTH_SYSTEMS.find((each) => each === lengths) ?? USUAL_UNITS.lengths,
    bearings: BEARING_SYSTEMS.find((each) => each === bearings) ?? USUAL_UNITS.bearings,
    angle: ANGLE_NAMES.find((each) => each === angle) ?? angleNameOf(keptChoice(GRID_KEY)),
  };
}

let last = USUAL_UNITS;
/** The same object for as long as nothing else is chosen. */
function snapshot(): ShownUnits {
  const now = chosen();
  const keys = ['lengths', 'bearings', 'angle'] as const;
  if (keys.some((key) => now[key] !== last[key])) last = now;
  return last;
}

const subscribe = (listener: () => void): (() => void) =>
  onKept((key) => (key === UNITS_KEY || key === GRID_KEY) && listener());

/** Two choices may come before the first is written: each is on top of the one before. */
let wanted: ShownUnits | null = null;

/** Chooses units for this device; once they are kept every text on the page is made again. */
export async function chooseUnits(units: Partial<ShownUnits>): Promise<void> {
  const next = { ...(wanted ?? chosen()), ...units };
  wanted = next;
  await keepChoice(UNITS_KEY, JSON.stringify(next));
  if (wanted === next) wanted = null;
}

/** The grid that places are shown in. */
export const useGrid = (): string =>
  useSyncExternalStore(
    (listener) => onKept((key) => key === GRID_KEY && listener()),
    () => keptChoice(GRID_KEY) ?? 'national',
    () => 'national',
  );

/** The units that figures are shown in. Set for the texts before anything below is drawn. */
export function useUnits(): ShownUnits {
  const units = useSyncExternalStore(subscribe, snapshot, () => USUAL_UNITS);
  showIn(units);
  return units;
}
