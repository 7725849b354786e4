import type { ReactNode } from 'react';
import styles from './plain-page.module.css';

const TO_SHELF = 'To the shelf of outings';

/** A page with nothing but a plain word on it: opening, missing, out of order. */
export function PlainPage({
  words,
  alert,
  children,
}: {
  words: string;
  alert?: boolean;
  children?: ReactNode;
}) {
  return (
    <main className={styles.plain}>
      <h1 className="visually-hidden">Cairn Back</h1>
      {words && <p role={alert ? 'alert' : 'status'}>{words}</p>}
      {children}
      {/* A whole page load: it works from the offline cache like any other. */}
      <a href="/">{TO_SHELF}</a>
    </main>
  );
}
