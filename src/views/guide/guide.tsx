'use client';
import { Checkbox } from 'antd';
import { useEffect, useSyncExternalStore } from 'react';
import { ViewHeader } from '@/views/shared/view-header';
import styles from './guide.module.css';
import { CAUTIONS, CHECKS, METHOD, WORDS } from './words';

const KEY = 'cairn-field-checks';
const CHANGED = 'cairn-field-checks-changed';

function subscribe(listener: () => void): () => void {
  window.addEventListener(CHANGED, listener);
  return () => window.removeEventListener(CHANGED, listener);
}
const kept = () => sessionStorage.getItem(KEY) ?? '';

/** Field checks before leaving, the method end to end, and the cautions. */
export function Guide() {
  // For this walk only: a check of yesterday is no check.
  const done = useSyncExternalStore(subscribe, kept, () => '').split(' ');
  useEffect(() => {
    document.title = `${WORDS.title} · Cairn Back`;
  }, []);
  const check = (key: string, checked: boolean) => {
    const next = checked ? [...done, key] : done.filter((each) => each !== key);
    sessionStorage.setItem(KEY, next.join(' '));
    window.dispatchEvent(new Event(CHANGED));
  };
  const open = CHECKS.filter(({ key }) => !done.includes(key)).length;
  return (
    <div className={styles.page}>
      <ViewHeader title={WORDS.title} back={{ href: '/', words: WORDS.toShelf }} />
      <main className={styles.paper}>
        <section aria-labelledby="checks">
          <h2 id="checks">{WORDS.checks}</h2>
          <ul className={styles.checks}>
            {CHECKS.map(({ key, name, how }) => (
              <li key={key}>
                <Checkbox
                  checked={done.includes(key)}
                  onChange={(event) => check(key, event.target.checked)}
                >
                  <b>{name}</b> {how}
                </Checkbox>
              </li>
            ))}
          </ul>
          <p role="status" className={styles.soft}>
            {open === 0 ? WORDS.allDone : WORDS.open(open)}
          </p>
        </section>
        <section aria-labelledby="method">
          <h2 id="method">{WORDS.method}</h2>
          <ol className={styles.method}>
            {METHOD.map(({ name, words, picture }) => (
              <li key={name}>
                <svg viewBox="0 0 120 80" className={styles.picture} aria-hidden="true">
                  <path d={picture} />
                </svg>
                <span>
                  <b>{name}.</b> {words}
                </span>
              </li>
            ))}
          </ol>
        </section>
        <section aria-labelledby="cautions">
          <h2 id="cautions">{WORDS.cautions}</h2>
          <ul className={styles.cautions}>
            {CAUTIONS.map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
        </section>
      </main>
    </div>
  );
}
