'use client';
import { useState } from 'react';
import { save } from '@/views/shared/data/save-file';
import { PressButton } from '@/ui/controls/press-button';
import styles from './rescue.module.css';

interface Props {
  /** What happened, and what to do. */
  words: string;
  /** The log as text, to be saved elsewhere. */
  text: string;
  onRetry?: () => void;
  /** For what is over: the person has seen it. */
  onDismiss?: () => void;
}

/** Shown when the store fails: says so, and gives the log as text to copy or save. */
export function Rescue({ words, text, onRetry, onDismiss }: Props) {
  const [done, setDone] = useState('');
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(text);
      setDone('Copied.');
    } catch {
      setDone('The browser would not copy: select the text below and copy it.');
    }
  };
  const saveFile = async () => {
    await save('cairn-back.log.txt', new Blob([text], { type: 'text/plain' }));
    setDone('Saved to your downloads.');
  };
  return (
    <section className={styles.rescue} role="alert">
      <p className={styles.words}>{words}</p>
      <div className={styles.actions}>
        {onRetry && (
          <PressButton look="primary" onClick={onRetry}>
            Try again
          </PressButton>
        )}
        <PressButton onClick={copy}>Copy the log</PressButton>
        <PressButton onClick={saveFile}>Save the log as a file</PressButton>
        {onDismiss && <PressButton onClick={onDismiss}>Close</PressButton>}
        <span>{done}</span>
      </div>
      <textarea
        className={styles.text}
        readOnly
        value={text}
        aria-label="The log as text"
        rows={4}
      />
    </section>
  );
}
