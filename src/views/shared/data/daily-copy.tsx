'use client';
import { useEffect } from 'react';

/** When a page has been idle for this long, the daily copy is made if there is none yet. */
const AFTER_MS = 8000;

/** Keeps a daily copy in the browser; shows nothing. */
export function DailyCopyMaker() {
  useEffect(() => {
    const timer = setTimeout(async () => {
      const [{ makeDailyCopy }, { browserDatabase }, { default: dayjs }] = await Promise.all([
        import('@/store/backup'),
        import('@/store/browser-database'),
        import('dayjs'),
      ]);
      const now = new Date();
      await import('@/store/pictures/pictures')
        .then(({ storeAsBytes }) => storeAsBytes(browserDatabase()))
        .catch(() => undefined);
      // A device that is full or stores nothing says so where a line is logged.
      await makeDailyCopy(browserDatabase(), dayjs(now).format('YYYY-MM-DD'), now).catch(
        () => undefined,
      );
    }, AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  return null;
}
