'use client';
import { useSerwist } from '@serwist/turbopack/react';
import { useEffect, useState } from 'react';
import styles from './notice.module.css';

/** Says that a newer version of the app waits, and takes it when the person says so. */
export function NewVersion() {
  const { serwist } = useSerwist();
  const [waiting, setWaiting] = useState(false);

  useEffect(() => {
    if (!serwist) return;
    const onWaiting = () => setWaiting(true);
    serwist.addEventListener('waiting', onWaiting);
    return () => serwist.removeEventListener('waiting', onWaiting);
  }, [serwist]);

  const take = () => {
    serwist?.addEventListener('controlling', () => location.reload());
    serwist?.messageSkipWaiting();
  };

  if (!waiting) return null;
  return (
    <div className={styles.notice} role="status">
      <span>A newer version of Cairn Back is ready. Your log stays as it is.</span>
      <button type="button" className={styles.action} onClick={take}>
        Use it now
      </button>
      <button type="button" className={styles.action} onClick={() => setWaiting(false)}>
        Later
      </button>
    </div>
  );
}
