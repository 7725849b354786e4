'use client';
import { Button } from 'antd';
import { useState } from 'react';
import styles from './rescue.module.css';

interface Props {
  /** What happened, and what to do. */
  words: string;
  /** The log as text, to be taken out of the app. */
  text: string;
  onRetry?: () => void;
}

/** Shown when the store fails: says so plainly, and gives the log as text to copy or save. */
export function Rescue({ words, text, onRetry }: Props) {
  const [done, setDone] = useState('');
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(text);
      setDone('Copied.');
    } catch {
      setDone('The browser would not copy: mark the text below and copy it by hand.');
    }
  };
  const save = () => {
    const url = URL.createObjectURL(new Blob([text], { type: 'text/plain' }));
    const link = document.createElement('a');
    link.href = url;
    link.download = 'cairn-back.log.txt';
    link.click();
    URL.revokeObjectURL(url);
    setDone('Handed to the browser to save.');
  };
  return (
    <section className={styles.rescue} role="alert">
      <p className={styles.words}>{words}</p>
      <div className={styles.actions}>
        {onRetry && (
          <Button type="primary" onClick={onRetry}>
            Try again
          </Button>
        )}
        <Button onClick={copy}>Copy the log</Button>
        <Button onClick={save}>Save the log as a file</Button>
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
