import type { ReactNode } from 'react';
import styles from './plain-page.module.css';

interface Props {
  words: string;
  alert?: boolean;
  children?: ReactNode;
}

/** A page with one message: opening, missing, out of order. */
export function PlainPage({ words, alert, children }: Props) {
  return (
    <main className={styles.plain}>
      <h1 className="visually-hidden">Cairn Back</h1>
      {words && <p role={alert ? 'alert' : 'status'}>{words}</p>}
      {children}
      {/* A whole page load: it works from the offline cache like any other. */}
      <a href="/">All outings</a>
    </main>
  );
}
