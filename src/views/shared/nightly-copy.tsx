'use client';
import { useEffect } from 'react';

/** After a page has come to rest, the copy of the day is made, when there is none yet. */
const AFTER_MS = 8000;

/** Keeps a copy of each day in the browser; shows nothing. */
export function NightlyCopy() {
  useEffect(() => {
    const timer = setTimeout(async () => {
      const [{ makeNightlyCopy }, { browserDatabase }, { default: dayjs }] = await Promise.all([
        import('@/store/backup'),
        import('./browser-store'),
        import('dayjs'),
      ]);
      const now = new Date();
      // A device that is full or keeps nothing says so where something is written down.
      await makeNightlyCopy(browserDatabase(), dayjs(now).format('YYYY-MM-DD'), now).catch(
        () => undefined,
      );
    }, AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  return null;
}
