'use client';
import type { ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { declinationOverYears, type YearPoint } from '@/core/north/declination-years';
import type { EarthModels } from '@/core/north/earth-models';
import type { Position } from '@/core/readings/position';
import { angleText } from '@/core/units/angle';
import { bandEdge, useChartColours } from '@/ui/theme/charts';
import styles from './declination.module.css';
import { WORDS } from './words';

/** The band's two edges are drawn first; this is the line itself. */
const LINE_DATASET = 2;

const yearOf = (point: YearPoint | undefined) => point?.day.slice(0, 4) ?? '';
const inYear = (point: YearPoint | undefined) =>
  point ? `${angleText(point.eastDegrees)} in ${yearOf(point)}` : '';

interface Props {
  position: Position;
  models: EarthModels;
}

/** Declination at a place over the years that the models reach, with their own error as a band. */
export function YearsChart({ position, models }: Props) {
  const points = useMemo(() => declinationOverYears(position, models), [position, models]);
  const colours = useChartColours();
  const edge = (sign: number) =>
    bandEdge(points.map(({ eastDegrees, sigmaDegrees }) => eastDegrees + sign * sigmaDegrees));
  return (
    <div className={styles.chart}>
      <Line
        role="img"
        aria-label={WORDS.chartLabel(inYear(points.at(0)), inYear(points.at(-1)))}
        data={{
          labels: points.map(({ day }) => day),
          datasets: [
            { ...edge(1), fill: false },
            { ...edge(-1), fill: '-1', backgroundColor: colours.band },
            {
              data: points.map(({ eastDegrees }) => eastDegrees),
              borderColor: colours.ink,
              borderWidth: 2,
              pointRadius: 0,
              pointHitRadius: 12,
            },
          ],
        }}
        options={optionsFor(points, colours)}
      />
    </div>
  );
}

const optionsFor = (
  points: readonly YearPoint[],
  { ink, rule }: ReturnType<typeof useChartColours>,
): ChartOptions<'line'> => ({
  animation: false,
  maintainAspectRatio: false,
  interaction: { mode: 'index', intersect: false },
  plugins: {
    legend: { display: false },
    tooltip: {
      filter: ({ datasetIndex }) => datasetIndex === LINE_DATASET,
      callbacks: {
        label: ({ dataIndex }) => {
          const point = points[dataIndex];
          if (!point) return '';
          return `${angleText(point.eastDegrees)} ±${point.sigmaDegrees.toFixed(1)}°`;
        },
      },
    },
  },
  scales: {
    x: {
      ticks: {
        color: ink,
        maxRotation: 0,
        autoSkip: true,
        maxTicksLimit: 8,
        callback: (index) => yearOf(points[Number(index)]),
      },
      grid: { display: false },
    },
    y: {
      ticks: { color: ink, callback: (value) => angleText(Number(value)) },
      grid: { color: rule },
    },
  },
});
