'use client';
import { useSyncExternalStore } from 'react';

function subscribe(listener: () => void): () => void {
  document.addEventListener('visibilitychange', listener);
  return () => document.removeEventListener('visibilitychange', listener);
}

/** True while the page is looked at: not in another tab's shadow, nor the phone in a pocket. */
export const useSeen = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => document.visibilityState === 'visible',
    () => true,
  );
