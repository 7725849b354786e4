'use client';
import {
  CategoryScale,
  Chart,
  Filler,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { angleWords } from '@/core/angle';
import { declinationOverYears } from '@/core/declination-years';
import type { EarthModels } from '@/core/earth-models';
import type { Position } from '@/core/logbook';
import { useLight } from '@/ui/light';
import { chartColours } from '@/ui/chart-colours';
import styles from './norths.module.css';
import { WORDS } from './words';

Chart.register(CategoryScale, LinearScale, PointElement, LineElement, Filler, Tooltip);
Chart.defaults.font.family = "'Atkinson Hyperlegible', sans-serif";
Chart.defaults.font.size = 14;

/** Declination at a place over the years that the models reach, with their own error as a band. */
export function YearsChart({ position, models }: { position: Position; models: EarthModels }) {
  const light = useLight();
  const points = useMemo(() => declinationOverYears(position, models), [position, models]);
  // The colours hang on the light, which the page carries as an attribute.
  const colour = useMemo(() => chartColours(light), [light]);
  const line = points.map(({ eastDegrees }) => eastDegrees);
  const edge = (sign: number) => ({
    data: points.map(({ eastDegrees, sigmaDegrees }) => eastDegrees + sign * sigmaDegrees),
    borderWidth: 0,
    pointRadius: 0,
    pointHitRadius: 0,
  });
  return (
    <div className={styles.chart}>
      <Line
        role="img"
        aria-label={WORDS.chartLabel(
          `${angleWords(line[0]!)} in ${points[0]!.day.slice(0, 4)}`,
          `${angleWords(line.at(-1)!)} in ${points.at(-1)!.day.slice(0, 4)}`,
        )}
        data={{
          labels: points.map(({ day }) => day),
          datasets: [
            { ...edge(1), fill: false },
            { ...edge(-1), fill: '-1', backgroundColor: colour.band },
            {
              data: line,
              borderColor: colour.ink,
              borderWidth: 2,
              pointRadius: 0,
              pointHitRadius: 12,
            },
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          interaction: { mode: 'index', intersect: false },
          plugins: {
            legend: { display: false },
            tooltip: {
              filter: ({ datasetIndex }) => datasetIndex === 2,
              callbacks: {
                label: ({ dataIndex }) => {
                  const { eastDegrees, sigmaDegrees } = points[dataIndex]!;
                  return `${angleWords(eastDegrees)}, good to ${sigmaDegrees.toFixed(1)}°`;
                },
              },
            },
          },
          scales: {
            x: {
              ticks: {
                color: colour.ink,
                maxRotation: 0,
                autoSkip: true,
                maxTicksLimit: 8,
                callback: (index) => points[Number(index)]!.day.slice(0, 4),
              },
              grid: { display: false },
            },
            y: {
              ticks: { color: colour.ink, callback: (value) => angleWords(Number(value)) },
              grid: { color: colour.rule },
            },
          },
        }}
      />
    </div>
  );
}
