'use client';
import { Input, Select } from 'antd';
import { useState } from 'react';
import { faultWords } from '@/core/fault-words';
import { readBearingText } from '@/core/log-text/read-bearing-text';
import { NORTHS, type North, type Norths } from '@/core/north';
import { northSum } from '@/core/norths-sum';
import { bearingDegrees } from '@/core/reading';
import { NORTH_NAMES, NORTH_WORDS } from '@/views/shared/norths/words';
import styles from './norths.module.css';
import { bearingFigure, signReason, sumLines, WORDS } from './words';

const options = NORTHS.map((value) => ({ value, label: NORTH_NAMES[value] }));

/** Turns a bearing from one north into one from another, and shows the sum. */
export function Converter({ norths }: { norths: Norths }) {
  const [text, setText] = useState('052');
  const [from, setFrom] = useState<North>('true');
  const [to, setTo] = useState<North>('magnetic');
  const reading = readBearingText(text, from);
  const bearing = reading.ok
    ? { degrees: bearingDegrees(reading.value), north: reading.value.north }
    : null;
  const sum = bearing && northSum(bearing, to, norths);
  return (
    <section className={styles.part} aria-labelledby="convert">
      <h2 id="convert">{WORDS.convert}</h2>
      <div className={styles.converter}>
        <Input
          aria-label={WORDS.bearing}
          value={text}
          onChange={(event) => setText(event.target.value)}
          autoComplete="off"
          inputMode="text"
        />
        <label htmlFor="convert-from">{WORDS.from}</label>
        <Select id="convert-from" options={options} value={from} onChange={setFrom} />
        <label htmlFor="convert-to">{WORDS.to}</label>
        <Select id="convert-to" options={options} value={to} onChange={setTo} />
      </div>
      <div aria-live="polite" data-testid="conversion">
        {!reading.ok && <p className={styles.warning}>{faultWords(reading.fault)}</p>}
        {bearing && !sum && <p className={styles.warning}>{WORDS.unknown}</p>}
        {sum && (
          <>
            <p className={styles.result}>
              <span className={styles.big}>{bearingFigure(sum.end.degrees)}</span> {NORTH_WORDS[to]}
            </p>
            <table className={styles.sum}>
              <tbody>
                {sumLines(sum).map(({ sign, figure, words }) => (
                  <tr key={sign + words} data-sign={sign}>
                    <td>{sign}</td>
                    <td>{figure}</td>
                    <td>{words}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className={styles.soft}>{signReason(sum)}</p>
          </>
        )}
      </div>
    </section>
  );
}
