'use client';
import { useCallback, useSyncExternalStore } from 'react';

const HASH = '#keypad';

const subscribe = (listener: () => void) => {
  window.addEventListener('hashchange', listener);
  return () => window.removeEventListener('hashchange', listener);
};

/**
 * Whether the keypad is open: it is a step of the history, so that the phone's Back closes it and
 * nothing else, and a reload opens it again.
 */
export function useKeypadOpen() {
  const isOpen = useSyncExternalStore(
    subscribe,
    () => location.hash === HASH,
    () => false,
  );
  const setOpen = useCallback((open: boolean) => {
    if (open === (location.hash === HASH)) return;
    if (open) location.hash = HASH;
    else history.back();
  }, []);
  return [isOpen, setOpen] as const;
}
