'use client';
import { Radio } from 'antd';
import { useState } from 'react';
import { NORTH_WORDS } from '@/core/entries/describe';
import { declinationScaleMark } from '@/core/north/conversion-sum';
import type { OutingNorths } from '@/core/north/outing-norths';
import { NORTHS, type North } from '@/core/units/bearing';
import { polar } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';
import { Section } from '@/views/shared/page/view-page';
import styles from './declination.module.css';
import { markWords, WORDS } from './words';

interface Props {
  norths: OutingNorths;
  read: North;
}

/** A compass with a fixed declination scale, and the mark to which its needle goes. */
export function HousingDrawing({ norths, read }: Props) {
  const [wanted, setWanted] = useState<North>(read === 'magnetic' ? 'true' : read);
  const mark = declinationScaleMark(wanted, norths);
  return (
    <Section id="housing" title={WORDS.housing}>
      <p className={styles.soft}>{WORDS.housingHow}</p>
      <Radio.Group
        aria-label={WORDS.dialReads}
        value={wanted}
        onChange={(event) => setWanted(event.target.value as North)}
        optionType="button"
        buttonStyle="solid"
        options={NORTHS.map((value) => ({ value, label: NORTH_WORDS[value] }))}
      />
      {mark === null ? (
        <p className={styles.warning}>{WORDS.unknown}</p>
      ) : (
        <>
          <Housing mark={mark} />
          <p data-testid="mark">{markWords(mark, wanted)}</p>
        </>
      )}
    </Section>
  );
}

const LETTERS = ['N', 'E', 'S', 'W'] as const;
const LETTER_RADIUS = 98;
/** Every ten degrees, except where the letters are. */
const TICKS = Array.from({ length: 36 }, (_, index) => index * 10).filter((turn) => turn % 90 > 0);
const SCALE = [-40, -30, -20, -10, 0, 10, 20, 30, 40];

/** A compass housing from above, its N up, with the needle on a mark of the scale. */
const Housing = ({ mark }: { mark: Degrees }) => (
  <svg viewBox="-120 -128 240 250" className={styles.drawing} aria-hidden="true">
    <circle r="112" className={styles.rim} />
    <circle r="84" className={styles.well} />
    {TICKS.map((turn) => (
      <line
        key={turn}
        transform={`rotate(${turn})`}
        y1={turn % 30 === 0 ? -98 : -104}
        y2="-110"
        className={styles.tick}
      />
    ))}
    {LETTERS.map((letter, index) => {
      const { east, north } = polar(90 * index, LETTER_RADIUS);
      return (
        <text key={letter} className={styles.letter} textAnchor="middle" x={east} y={5 - north}>
          {letter}
        </text>
      );
    })}
    {SCALE.map((turn) => (
      <g key={turn} transform={`rotate(${turn})`} className={styles.mark}>
        <line y1="-80" y2={turn % 20 === 0 ? -70 : -75} />
        {turn !== 0 && turn % 20 === 0 && (
          <text y="-58" textAnchor="middle">
            {Math.abs(turn)}
          </text>
        )}
      </g>
    ))}
    <g transform={`rotate(${mark})`} className={styles.needleShape}>
      <path d="M0 -80L6 0L-6 0Z" />
      <path d="M0 62L6 0L-6 0Z" className={styles.needleTail} />
      <circle r="4" />
    </g>
  </svg>
);
