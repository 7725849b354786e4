'use client';
import { Input, Select } from 'antd';
import { useState } from 'react';
import { NORTH_WORDS } from '@/core/entries/describe';
import { faultMessage } from '@/core/faults/messages';
import { readBearingText } from '@/core/readings/texts/read-bearing-text';
import { conversionSum, type ConversionSum } from '@/core/north/conversion-sum';
import type { Norths } from '@/core/north/norths';
import { bearingDegrees } from '@/core/readings/bearing';
import { NORTHS, type North } from '@/core/units/bearing';
import { NORTH_NAMES } from '@/views/shared/declination/words';
import { Section } from '@/views/shared/page/view-page';
import styles from './declination.module.css';
import { bearingFigure, signReason, sumLines, WORDS } from './words';

const OPTIONS = NORTHS.map((value) => ({ value, label: NORTH_NAMES[value] }));

/** Converts a bearing from one north to another, and shows the sum. */
export function Converter({ norths }: { norths: Norths }) {
  const [text, setText] = useState('052');
  const [from, setFrom] = useState<North>('true');
  const [to, setTo] = useState<North>('magnetic');
  const reading = readBearingText(text, from);
  const bearing = reading.ok
    ? { degrees: bearingDegrees(reading.value), north: reading.value.north }
    : null;
  const sum = bearing && conversionSum(bearing, to, norths);
  return (
    <Section id="convert" title={WORDS.convert}>
      <div className={styles.converter}>
        <Input
          aria-label={WORDS.bearing}
          value={text}
          onChange={(event) => setText(event.target.value)}
          autoComplete="off"
          inputMode="text"
        />
        <label htmlFor="convert-from">{WORDS.from}</label>
        <Select id="convert-from" options={OPTIONS} value={from} onChange={setFrom} />
        <label htmlFor="convert-to">{WORDS.to}</label>
        <Select id="convert-to" options={OPTIONS} value={to} onChange={setTo} />
      </div>
      <div aria-live="polite" data-testid="conversion">
        {!reading.ok && <p className={styles.warning}>{faultMessage(reading.fault)}</p>}
        {bearing && !sum && <p className={styles.warning}>{WORDS.unknown}</p>}
        {sum && <Sum sum={sum} />}
      </div>
    </Section>
  );
}

/** The answer, the sum, and why its sign is what it is. */
const Sum = ({ sum }: { sum: ConversionSum }) => (
  <>
    <p className={styles.result}>
      <span className={styles.big}>{bearingFigure(sum.end.degrees)}</span>{' '}
      {NORTH_WORDS[sum.end.north]}
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
);
