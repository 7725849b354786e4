'use client';
import { useEffect, useState, type ReactNode } from 'react';
import { NOT_KEPT } from '@/store/keep-choice';
import type { News } from './storage-news';

/** The first look comes once the page has what it came for. */
const AFTER_MS = 1500;
/** The room is looked at again while a long day is logged. */
const EACH_MS = 10 * 60_000;

/** Says when the browser emptied its storage, has little room, or could not keep a choice. */
export function StorageWatch() {
  const [shown, setShown] = useState<ReactNode>(null);
  useEffect(() => {
    let isOver = false;
    // Its words are loaded with the news: most pages never have any.
    const say = async (news: News) => {
      const { StorageNewsShown } = await import('./storage-news');
      if (!isOver) setShown(<StorageNewsShown news={news} onClose={() => setShown(null)} />);
    };
    const look = async () => {
      const [{ storageNews }, { browserDatabase }] = await Promise.all([
        import('@/store/storage-watch'),
        import('@/store/browser-database'),
      ]);
      const estimate = () => navigator.storage?.estimate?.();
      // A device that stores nothing says so where a line is logged.
      const found = await storageNews(browserDatabase(), estimate).catch(() => null);
      if (!isOver && found) await say(found);
    };
    // Where the browser decides by itself, and asks nobody, it may have come to another view.
    const askAgain = () => 'userAgentData' in navigator && void navigator.storage?.persist?.();
    const first = setTimeout(() => void look().then(askAgain), AFTER_MS);
    addEventListener('appinstalled', askAgain);
    const again = setInterval(() => void look(), EACH_MS);
    const notKept = () => void say({ kind: 'not-kept' });
    addEventListener(NOT_KEPT, notKept);
    return () => {
      isOver = true;
      clearTimeout(first);
      clearInterval(again);
      removeEventListener('appinstalled', askAgain);
      removeEventListener(NOT_KEPT, notKept);
    };
  }, []);
  return shown;
}
