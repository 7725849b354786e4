'use client';
import { useSyncExternalStore } from 'react';
import { keepChoice } from '../../store/keep-choice';
import { keptChoice, onKept } from '../../store/kept-choice';
import { THEME_KEY, THEMES, type Theme } from './theme-script';

const CHANGED = 'cairn-theme-changed';

const isTheme = (value: unknown): value is Theme => THEMES.some((theme) => theme === value);

/** The theme that the person chose; null while the system's preference is followed. */
function chosenTheme(): Theme | null {
  const stored = keptChoice(THEME_KEY);
  return isTheme(stored) ? stored : null;
}

const systemDark = () => matchMedia('(prefers-color-scheme: dark)');

/** Puts a theme on the page; null is the system's. */
function put(theme: Theme | null): void {
  document.documentElement.dataset.theme = theme ?? (systemDark().matches ? 'dark' : 'day');
}

function show(theme: Theme | null): void {
  put(theme);
  window.dispatchEvent(new Event(CHANGED));
}

/** Chooses a theme; null goes back to following the system. Shown once it is kept. */
export const chooseTheme = (theme: Theme | null): Promise<boolean> => keepChoice(THEME_KEY, theme);

function subscribe(listener: () => void): () => void {
  const system = systemDark();
  const showChosen = () => show(chosenTheme());
  const stopListening = onKept((key) => key === THEME_KEY && showChosen());
  window.addEventListener(CHANGED, listener);
  system.addEventListener('change', showChosen);
  // The system may have changed before there was anybody to listen.
  put(chosenTheme());
  return () => {
    window.removeEventListener(CHANGED, listener);
    stopListening();
    system.removeEventListener('change', showChosen);
  };
}

const shown = (): Theme => {
  const { theme } = document.documentElement.dataset;
  return isTheme(theme) ? theme : 'day';
};

/** The theme that is on now. */
export const useTheme = (): Theme => useSyncExternalStore(subscribe, shown, () => 'day');
/** The person's own choice; null while the system's is followed. */
export const useChosenTheme = (): Theme | null =>
  useSyncExternalStore(subscribe, chosenTheme, () => null);
