import { useState } from 'react';
import { readLine } from '@/core/log-text/read-line';
import { faultMessage } from '@/core/faults/messages';
import { headerOf } from '@/core/model/outing';
import type { OutingViewState } from '../use-outing-view';
import { WORDS } from '../words';
import styles from './entry-line.module.css';

type Props = Pick<OutingViewState, 'outing' | 'changeSettings' | 'input'>;

/** A number alone is paces in 100 m, as the field says. */
const paceLine = (text: string) =>
  readLine(`pace ${text}${/^[\d.]+$/.test(text) ? ' per 100 m' : ''}`);

/** Asks the one figure that a line is refused for; the line itself stays as it is typed. */
export function PaceAsk({ outing, changeSettings, input }: Props) {
  const [text, setText] = useState('');
  const [refused, setRefused] = useState<string | null>(null);
  const use = async () => {
    const read = paceLine(text.trim());
    if (!read.ok) return setRefused(faultMessage(read.fault.fault));
    const entry = 'entry' in read.value ? read.value.entry : null;
    if (entry?.kind !== 'pace') return;
    const failed = await changeSettings({ header: headerOf(outing), pace: entry, read: null });
    setRefused(failed);
    if (failed === null) input.current?.focus();
  };
  return (
    <form
      className={styles.ask}
      onSubmit={(event) => {
        event.preventDefault();
        void use();
      }}
    >
      <label htmlFor="pace-ask">{WORDS.paceAsk}</label>
      <input
        id="pace-ask"
        className={styles.asked}
        value={text}
        onChange={(event) => setText(event.target.value)}
        inputMode="decimal"
        placeholder="65"
        autoComplete="off"
      />
      <button type="submit" className={styles.take} disabled={text.trim() === ''}>
        {WORDS.paceUse}
      </button>
      {refused}
    </form>
  );
}
