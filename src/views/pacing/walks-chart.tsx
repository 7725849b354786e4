'use client';
import { Line } from 'react-chartjs-2';
import type { PaceLength } from '@/core/pacing/calibration';
import { bandEdge, plainOptions, useChartColours } from '@/ui/theme/charts';
import styles from './pacing.module.css';
import { shortLengthText } from '@/ui/units/shown';
import { WORDS } from './words';

/** The walks of a calibration: each a dot, the mean a line, the spread a band. */
export function WalksChart({ length }: { length: PaceLength }) {
  const colours = useChartColours();
  const { ink, rest, band: bandColour } = colours;
  const { walks, paceMetres, spread } = length;
  const flat = (metres: number) => bandEdge(walks.map(() => metres));
  const band = paceMetres * (spread ?? 0);
  return (
    <div className={styles.chart}>
      <Line
        role="img"
        aria-label={WORDS.chart}
        data={{
          labels: walks.map((_, index) => WORDS.walk(index + 1)),
          datasets: [
            { ...flat(paceMetres + band), fill: false },
            { ...flat(paceMetres - band), fill: '-1', backgroundColor: bandColour },
            { ...flat(paceMetres), borderColor: rest, borderWidth: 2 },
            {
              data: [...walks],
              showLine: false,
              pointRadius: 6,
              pointBackgroundColor: ink,
              borderColor: ink,
            },
          ],
        }}
        options={plainOptions(colours, shortLengthText, { grace: '20%' })}
      />
    </div>
  );
}
