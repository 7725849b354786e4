'use client';
import { Radio } from 'antd';
import { useState } from 'react';
import type { North } from '@/core/north';
import { needleMark } from '@/core/norths-sum';
import type { NorthsOfOuting } from '@/core/norths-of';
import { NORTH_SHORT } from '@/views/shared/norths/words';
import styles from './norths.module.css';
import { markWords, WORDS } from './words';

const SCALE = [-40, -30, -20, -10, 0, 10, 20, 30, 40];
/** Every ten degrees, but where the letters stand. */
const TICKS = Array.from({ length: 36 }, (_, index) => index * 10).filter((turn) => turn % 90 > 0);

/** A compass housing from above, its N up, with the needle on the mark that the norths ask for. */
export function HousingDrawing({ norths, read }: { norths: NorthsOfOuting; read: North }) {
  const [wanted, setWanted] = useState<North>(read === 'magnetic' ? 'true' : read);
  const mark = needleMark(wanted, norths);
  return (
    <section className={styles.part} aria-labelledby="housing">
      <h2 id="housing">{WORDS.housing}</h2>
      <p className={styles.soft}>{WORDS.housingHow}</p>
      <Radio.Group
        aria-label={WORDS.dialReads}
        value={wanted}
        onChange={(event) => setWanted(event.target.value as North)}
        optionType="button"
        buttonStyle="solid"
        options={(['true', 'grid', 'magnetic'] as const).map((value) => ({
          value,
          label: NORTH_SHORT[value],
        }))}
      />
      {mark === null ? (
        <p className={styles.warning}>{WORDS.unknown}</p>
      ) : (
        <>
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
            {(['N', 'E', 'S', 'W'] as const).map((letter, index) => (
              <text
                key={letter}
                className={styles.letter}
                textAnchor="middle"
                x={98 * Math.sin((index * Math.PI) / 2)}
                y={-98 * Math.cos((index * Math.PI) / 2) + 5}
              >
                {letter}
              </text>
            ))}
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
          <p data-testid="mark">{markWords(mark, wanted)}</p>
        </>
      )}
    </section>
  );
}
