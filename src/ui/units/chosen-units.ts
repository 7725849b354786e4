'use client';
import { useSyncExternalStore } from 'react';
import {
  BEARING_SYSTEMS,
  LENGTH_SYSTEMS,
  showIn,
  USUAL_UNITS,
  type ShownUnits,
} from '@/core/units/shown';
import { keepChoice, keptObject } from '@/store/kept-choice';

const UNITS_KEY = 'cairn-units';
const CHANGED = 'cairn-units-changed';

/** What the person chose on this device, which another version may have written. */
function chosen(): ShownUnits {
  const { lengths, bearings } = keptObject(UNITS_KEY);
  return {
    lengths: LENGTH_SYSTEMS.find((each) => each === lengths) ?? USUAL_UNITS.lengths,
    bearings: BEARING_SYSTEMS.find((each) => each === bearings) ?? USUAL_UNITS.bearings,
  };
}

let last = USUAL_UNITS;
/** The same object for as long as nothing else is chosen. */
function snapshot(): ShownUnits {
  const now = chosen();
  if (now.lengths !== last.lengths || now.bearings !== last.bearings) last = now;
  return last;
}

function subscribe(listener: () => void): () => void {
  const otherTab = (event: StorageEvent) => event.key === UNITS_KEY && listener();
  window.addEventListener(CHANGED, listener);
  window.addEventListener('storage', otherTab);
  return () => {
    window.removeEventListener(CHANGED, listener);
    window.removeEventListener('storage', otherTab);
  };
}

/** Chooses units for this device; every text that is on the page is made again. */
export function chooseUnits(units: Partial<ShownUnits>): void {
  keepChoice(UNITS_KEY, JSON.stringify({ ...chosen(), ...units }));
  window.dispatchEvent(new Event(CHANGED));
}

/** The units that figures are shown in. Told to the texts before anything below is drawn. */
export function useUnits(): ShownUnits {
  const units = useSyncExternalStore(subscribe, snapshot, () => USUAL_UNITS);
  showIn(units);
  return units;
}
