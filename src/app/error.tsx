'use client';
import { useEffect, useState } from 'react';
import styles from '@/ui/notice.module.css';
import { isChunkFailure, reloadOnce } from '@/ui/version/chunk-failure';

/** Shown when a view fails: what is logged is safe. A part that didn't load is loaded once more. */
export default function ViewError({ error }: { error: Error }) {
  // Decided once, before anything is shown: the page may be on its way out already.
  const [reloads] = useState(() => isChunkFailure(error) && reloadOnce());
  useEffect(() => console.error(error), [error]);
  if (reloads) return null;
  return (
    <main className={styles.failure}>
      <h1>This page stopped</h1>
      <p>What you logged is saved. Load the page again, or go back to the outings.</p>
      <p>
        <button type="button" className={styles.action} onClick={() => location.reload()}>
          Load again
        </button>{' '}
        <a href="/">Outings</a> <a href="/files">Files and backup</a>
      </p>
      <p>{error.message}</p>
    </main>
  );
}
