'use client';
import { useEffect, useState } from 'react';
import { NOT_KEPT } from '@/store/keep-choice';
import type { StorageNews } from '@/store/storage-watch';
import styles from '@/ui/notice.module.css';
import { viewUrl } from '@/views/views';

/** The first look comes once the page has what it came for. */
const AFTER_MS = 1500;
/** The room is looked at again while a long day is logged. */
const EACH_MS = 10 * 60_000;

const WORDS = {
  emptied: (outings: number) =>
    `The browser has deleted the data of this device: there ${
      outings === 1 ? 'was 1 outing' : `were ${outings} outings`
    }. Import your last backup.`,
  import: 'Import a backup',
  restore: 'Restore the last log',
  understood: 'Understood',
  room: (megabytes: number) =>
    `This device has little room left for Cairn Back (${megabytes} MB). A full device may lose ` +
    'what it holds: back up now, and free some space.',
  backUp: 'Back up',
  notKept:
    'This choice could not be saved on this device. It holds until the page is closed. Free some ' +
    'space, or allow this site to store data.',
  later: 'Later',
} as const;

type News = StorageNews | { readonly kind: 'not-kept' };

/** Says when the browser emptied its storage, has little room, or could not keep a choice. */
export function StorageWatch() {
  const [news, setNews] = useState<News | null>(null);
  useEffect(() => {
    let isOver = false;
    const look = async () => {
      const [{ storageNews }, { browserDatabase }] = await Promise.all([
        import('@/store/storage-watch'),
        import('@/store/browser-database'),
      ]);
      const estimate = () => navigator.storage?.estimate?.();
      // A device that stores nothing says so where a line is logged.
      const found = await storageNews(browserDatabase(), estimate).catch(() => null);
      if (!isOver && found) setNews(found);
    };
    // Where the browser decides by itself, and asks nobody, it may have come to another view.
    const askAgain = () => 'userAgentData' in navigator && void navigator.storage?.persist?.();
    const first = setTimeout(() => void look().then(askAgain), AFTER_MS);
    addEventListener('appinstalled', askAgain);
    const again = setInterval(() => void look(), EACH_MS);
    const notKept = () => setNews({ kind: 'not-kept' });
    addEventListener(NOT_KEPT, notKept);
    return () => {
      isOver = true;
      clearTimeout(first);
      clearInterval(again);
      removeEventListener('appinstalled', askAgain);
      removeEventListener(NOT_KEPT, notKept);
    };
  }, []);
  if (!news) return null;
  const close = () => setNews(null);
  return (
    <div className={styles.notice} role="alert" data-testid="storage-news">
      {news.kind === 'emptied' && <Emptied news={news} onClose={close} />}
      {news.kind === 'little-room' && (
        <>
          <span>{WORDS.room(news.megabytes)}</span>
          <a className={styles.action} href={viewUrl('files')}>
            {WORDS.backUp}
          </a>
          <Action words={WORDS.later} onClick={close} />
        </>
      )}
      {news.kind === 'not-kept' && (
        <>
          <span>{WORDS.notKept}</span>
          <Action words={WORDS.understood} onClick={close} />
        </>
      )}
    </div>
  );
}

const Action = ({ words, onClick }: { words: string; onClick: () => void }) => (
  <button type="button" className={styles.action} onClick={onClick}>
    {words}
  </button>
);

function Emptied({
  news: { outings, log },
  onClose,
}: {
  news: StorageNews & { kind: 'emptied' };
  onClose: () => void;
}) {
  const understood = async () => {
    (await import('@/store/storage-watch')).forgetHad();
    onClose();
  };
  return (
    <>
      <span>{WORDS.emptied(outings)}</span>
      <a className={styles.action} href={viewUrl('files')}>
        {WORDS.import}
      </a>
      {log !== null && (
        <Action
          words={WORDS.restore}
          onClick={() => void import('./restore-log').then(({ restoreLog }) => restoreLog(log))}
        />
      )}
      <Action words={WORDS.understood} onClick={() => void understood()} />
    </>
  );
}
