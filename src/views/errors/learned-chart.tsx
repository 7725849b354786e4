'use client';
import { Select } from 'antd';
import { useState } from 'react';
import { Line } from 'react-chartjs-2';
import { LEARNED, type LearnedId } from '@/core/learning/observations';
import { isLearned, learn } from '@/core/learning/learn';
import { DEFAULT_ERRORS, unitOfSigma } from '@/core/model/error-settings';
import { bandEdge, plainOptions, useChartColours } from '@/ui/theme/charts';
import styles from './errors.module.css';
import type { RecordStep } from './record';
import { SIGMA_WORDS, WORDS } from './words';

/** How a sigma came to be what it is, outing by outing, with the band that it lies in. */
export function LearnedChart({ steps }: { steps: readonly RecordStep[] }) {
  const charted = LEARNED.filter((id) =>
    steps.at(-1)?.learned.some((each) => each.id === id && isLearned(each)),
  );
  const [choice, setChoice] = useState<LearnedId | null>(null);
  const colours = useChartColours();
  const { ink, rest, band } = colours;
  const id = choice ?? charted[0];
  if (id === undefined) return null;
  const unit = unitOfSigma(id);
  const scale = unit === 'degrees' ? 1 : 100;
  // The usual value first: what a person begins with.
  const states = [learn(DEFAULT_ERRORS, []), ...steps.map(({ learned }) => learned)];
  const values = (of: 'sigma' | 'least' | 'most') =>
    states.map((learned) => scale * (learned.find((each) => each.id === id)?.[of] ?? 0));
  return (
    <>
      <Select
        aria-label={WORDS.shown}
        className={styles.choice}
        value={id}
        onChange={setChoice}
        options={charted.map((each) => ({ value: each, label: SIGMA_WORDS[each] }))}
      />
      <div className={styles.chart}>
        <Line
          role="img"
          aria-label={WORDS.chart(SIGMA_WORDS[id])}
          data={{
            labels: [WORDS.atFirst, ...steps.map(({ day }) => day)],
            datasets: [
              { ...bandEdge(values('most')), fill: false },
              { ...bandEdge(values('least')), fill: '-1', backgroundColor: band },
              {
                data: values('sigma'),
                borderColor: rest,
                borderWidth: 2,
                pointRadius: 4,
                pointBackgroundColor: ink,
              },
            ],
          }}
          options={plainOptions(colours, (value) => `${value}${WORDS.unit[unit]}`, {
            beginAtZero: true,
          })}
        />
      </div>
    </>
  );
}
