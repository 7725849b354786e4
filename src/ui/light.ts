'use client';
import { useSyncExternalStore } from 'react';
import { LIGHT_KEY, LIGHTS, type Light } from './light-script';

const CHANGED = 'cairn-light-changed';

const isLight = (value: unknown): value is Light => (LIGHTS as readonly unknown[]).includes(value);

/** The light that the person chose; null while the system's preference is followed. */
function chosenLight(): Light | null {
  try {
    const kept = localStorage.getItem(LIGHT_KEY);
    return isLight(kept) ? kept : null;
  } catch {
    return null;
  }
}

const systemDark = () => matchMedia('(prefers-color-scheme: dark)');

function show(): void {
  const light = chosenLight() ?? (systemDark().matches ? 'dark' : 'day');
  document.documentElement.dataset.light = light;
  window.dispatchEvent(new Event(CHANGED));
}

/** Chooses a light; null goes back to following the system. */
export function chooseLight(light: Light | null): void {
  try {
    if (light) localStorage.setItem(LIGHT_KEY, light);
    else localStorage.removeItem(LIGHT_KEY);
  } catch {
    // Without storage the choice holds for this page alone.
  }
  show();
  if (light) document.documentElement.dataset.light = light;
}

function subscribe(listener: () => void): () => void {
  const system = systemDark();
  const otherTab = (event: StorageEvent) => event.key === LIGHT_KEY && show();
  window.addEventListener(CHANGED, listener);
  window.addEventListener('storage', otherTab);
  system.addEventListener('change', show);
  return () => {
    window.removeEventListener(CHANGED, listener);
    window.removeEventListener('storage', otherTab);
    system.removeEventListener('change', show);
  };
}

const shown = (): Light => {
  const light = document.documentElement.dataset.light;
  return isLight(light) ? light : 'day';
};

/** The light that is on now. */
export const useLight = (): Light => useSyncExternalStore(subscribe, shown, () => 'day');
/** The person's own choice of light, null while the system's is followed. */
export const useChosenLight = (): Light | null =>
  useSyncExternalStore(subscribe, chosenLight, () => null);
