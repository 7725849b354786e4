'use client';
import { useEffect, useState } from 'react';

const MINUTE_MS = 60_000;

/**
 * The time, for what changes by the minute. It is looked at again when the page is, or touched; a
 * timer alone would wake a phone that lies in a pocket, so it asks seldom.
 */
export function useClock(everyMinutes = 5): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const look = () => setNow((before) => (Date.now() - before < MINUTE_MS ? before : Date.now()));
    const lookIfSeen = () => document.visibilityState === 'visible' && look();
    const timer = setInterval(lookIfSeen, everyMinutes * MINUTE_MS);
    const events = ['pointerdown', 'keydown', 'focus'] as const;
    for (const event of events) window.addEventListener(event, look, { passive: true });
    document.addEventListener('visibilitychange', lookIfSeen);
    return () => {
      clearInterval(timer);
      for (const event of events) window.removeEventListener(event, look);
      document.removeEventListener('visibilitychange', lookIfSeen);
    };
  }, [everyMinutes]);
  return now;
}
