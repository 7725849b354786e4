'use client';
import { Checkbox } from 'antd';
import { keepCopy, keptChoice } from '@/store/kept-choice';
import { useSyncExternalStore } from 'react';
import { BACK_TO_OUTINGS, Section, ViewPage } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import styles from './guide.module.css';
import { CARE, CAUTIONS, CHECKS, METHOD, WORDS } from './words';

/** What was checked, in this session's storage: yesterday's check is no check. */
const KEY = 'cairn-field-checks';
const CHANGED = 'cairn-field-checks-changed';

function subscribe(listener: () => void): () => void {
  window.addEventListener(CHANGED, listener);
  return () => window.removeEventListener(CHANGED, listener);
}
const stored = () => keptChoice(KEY, 'tab') ?? '';

function useChecks() {
  const done = useSyncExternalStore(subscribe, stored, () => '').split(' ');
  const check = (key: string, checked: boolean) => {
    const next = checked ? [...done, key] : done.filter((each) => each !== key);
    keepCopy(KEY, next.join(' '), 'tab');
    window.dispatchEvent(new Event(CHANGED));
  };
  return { done, check };
}

/** Field checks before leaving, the method step by step, and the cautions. */
export function Guide() {
  const { done, check } = useChecks();
  const left = CHECKS.filter(({ key }) => !done.includes(key)).length;
  return (
    <ViewPage view="guide" back={BACK_TO_OUTINGS} width="medium">
      <Section id="checks" title={WORDS.checks}>
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
          {left === 0 ? WORDS.allDone : WORDS.open(left)}
        </p>
      </Section>
      <Section id="method" title={WORDS.method}>
        <ol className={styles.method}>
          {METHOD.map(({ name, words, picture, ...step }) => (
            <li key={name}>
              <svg viewBox="0 0 120 80" className={styles.picture} aria-hidden="true">
                <path d={picture} />
              </svg>
              <span>
                <b>{name}.</b> {words}
                {'link' in step && (
                  <>
                    {' '}
                    <a className={styles.link} href={viewUrl('fix', undefined, { tab: step.link })}>
                      {WORDS.orient}
                    </a>
                  </>
                )}
              </span>
            </li>
          ))}
        </ol>
      </Section>
      <p>
        <a href={viewUrl('practice')} className={styles.practise}>
          {WORDS.practise}
        </a>
      </p>
      <Listed id="care" title={WORDS.care} className={styles.care} of={CARE} />
      <Listed id="cautions" title={WORDS.cautions} className={styles.cautions} of={CAUTIONS} />
    </ViewPage>
  );
}

interface ListedProps {
  id: string;
  title: string;
  className: string | undefined;
  of: readonly string[];
}

const Listed = ({ id, title, className, of }: ListedProps) => (
  <Section id={id} title={title}>
    <ul className={className}>
      {of.map((words) => (
        <li key={words}>{words}</li>
      ))}
    </ul>
  </Section>
);
