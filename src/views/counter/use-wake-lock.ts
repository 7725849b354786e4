'use client';
import { useEffect, useState } from 'react';

/** Keeps the screen on while the page is visible; true while the browser does so. */
export function useWakeLock(): boolean {
  const [held, setHeld] = useState(false);
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        const granted = await navigator.wakeLock.request('screen');
        if (gone) return void granted.release();
        lock = granted;
        setHeld(true);
        granted.addEventListener('release', () => setHeld(false));
      } catch {
        // Refused, as with a low battery: the count goes on, though the screen may go dark.
        setHeld(false);
      }
    };
    void ask();
    const again = () => void ask();
    document.addEventListener('visibilitychange', again);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
  return held;
}
