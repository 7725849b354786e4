'use client';
import { CategoryScale, Chart, Filler, LinearScale, LineElement, PointElement } from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import type { PaceLength } from '@/core/pace-calibration';
import { chartColours } from '@/ui/chart-colours';
import { useLight } from '@/ui/light';
import styles from './paces.module.css';
import { WORDS } from './words';

Chart.register(CategoryScale, LinearScale, PointElement, LineElement, Filler);
Chart.defaults.font.family = "'Atkinson Hyperlegible', sans-serif";
Chart.defaults.font.size = 14;

/** The walks of a calibration: each a dot, the mean a line, the spread a band. */
export function WalksChart({ length }: { length: PaceLength }) {
  const light = useLight();
  const colour = useMemo(() => chartColours(light), [light]);
  const { walks, paceMetres, spread } = length;
  const flat = (metres: number) => ({
    data: walks.map(() => metres),
    pointRadius: 0,
    borderWidth: 0,
  });
  const band = paceMetres * (spread ?? 0);
  return (
    <div className={styles.chart}>
      <Line
        role="img"
        aria-label={WORDS.plot}
        data={{
          labels: walks.map((_, index) => WORDS.walk(index + 1)),
          datasets: [
            { ...flat(paceMetres + band), fill: false },
            { ...flat(paceMetres - band), fill: '-1', backgroundColor: colour.band },
            { ...flat(paceMetres), borderColor: colour.rest, borderWidth: 2 },
            {
              data: [...walks],
              showLine: false,
              pointRadius: 6,
              pointBackgroundColor: colour.ink,
              borderColor: colour.ink,
            },
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          events: [],
          plugins: { legend: { display: false } },
          scales: {
            x: { offset: true, ticks: { color: colour.ink }, grid: { display: false } },
            y: {
              grace: '20%',
              ticks: { color: colour.ink, callback: (value) => `${Number(value).toFixed(2)} m` },
              grid: { color: colour.rule },
            },
          },
        }}
      />
    </div>
  );
}
