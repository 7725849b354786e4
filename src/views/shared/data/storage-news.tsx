'use client';
import type { StorageNews } from '@/store/storage-watch';
import styles from '@/ui/notice.module.css';
import { viewUrl } from '@/views/views';

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

export type News = StorageNews | { readonly kind: 'not-kept' };

interface Props {
  news: News;
  onClose: () => void;
}

/** What is said of the browser's storage. */
export function StorageNewsShown({ news, onClose }: Props) {
  return (
    <div className={styles.notice} role="alert" data-testid="storage-news">
      {news.kind === 'emptied' && <Emptied news={news} onClose={onClose} />}
      {news.kind === 'little-room' && (
        <>
          <span>{WORDS.room(news.megabytes)}</span>
          <a className={styles.action} href={viewUrl('files')}>
            {WORDS.backUp}
          </a>
          <Action words={WORDS.later} onClick={onClose} />
        </>
      )}
      {news.kind === 'not-kept' && (
        <>
          <span>{WORDS.notKept}</span>
          <Action words={WORDS.understood} onClick={onClose} />
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
