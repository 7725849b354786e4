'use client';
import { figureUnits } from '@/ui/units/shown';
import { Button, Input } from 'antd';
import dayjs from 'dayjs';
import { useEffect, useState } from 'react';
import { message } from '@/core/navigation/message';
import type { Position } from '@/core/readings/position';
import type { Solution } from '@/core/survey/solution';
import { Section } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import { SENDER_FIELDS, useSender } from './use-sender';
import styles from './way-home.module.css';
import { WORDS } from './words';

/** The words to send or to read out, and what to do next. */
export function Message({ solution }: { solution: Solution }) {
  const { id } = solution.outing;
  const [status, setStatus] = useState('');
  const [time] = useState(() => dayjs().format('HH:mm'));
  const [sender, setSender] = useSender();
  const text = message(solution, time, figureUnits(), sender, useReferences());
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(text);
      setStatus(WORDS.copied);
    } catch {
      setStatus(text);
    }
  };
  return (
    <Section id="message" title={WORDS.message}>
      <div className={styles.asks}>
        {SENDER_FIELDS.map((field) => (
          <div key={field}>
            <label htmlFor={`sender-${field}`}>{WORDS.sender[field]}</label>
            <Input
              id={`sender-${field}`}
              value={sender[field]}
              onChange={(event) => setSender({ ...sender, [field]: event.target.value })}
              autoComplete="off"
            />
          </div>
        ))}
      </div>
      <p className={styles.message} data-testid="message">
        {text}
      </p>
      <div className={styles.row}>
        <Button onClick={copy}>{WORDS.copy}</Button>
        {'share' in navigator ? (
          <Button onClick={() => void navigator.share({ text }).catch(() => undefined)}>
            {WORDS.share}
          </Button>
        ) : (
          <span>{WORDS.noShare}</span>
        )}
        <Button href={viewUrl('pegs', id)}>{WORDS.pegs}</Button>
        <Button href={viewUrl('print', id)}>{WORDS.print}</Button>
        <span role="status">{status}</span>
      </div>
    </Section>
  );
}

/** How the maps of a country have a place; the projections come a moment after the page. */
function useReferences(): (position: Position) => string | null {
  const [referenceOf, setReferenceOf] = useState(
    () =>
      (_position: Position): string | null =>
        null,
  );
  useEffect(() => {
    void import('@/core/place/national-text').then(({ nationalReference }) =>
      setReferenceOf(() => nationalReference),
    );
  }, []);
  return referenceOf;
}
