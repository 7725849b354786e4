'use client';
import { useEffect, useState } from 'react';

/** The time, second by second while a stopwatch runs and the page is seen; else as it was. */
export function useRunningClock(runs: boolean): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!runs) return;
    const tick = () => document.visibilityState === 'visible' && setNow(Date.now());
    tick();
    const timer = setInterval(tick, 1000);
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [runs]);
  return now;
}
