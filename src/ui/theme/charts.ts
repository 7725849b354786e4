'use client';
import {
  CategoryScale,
  Chart,
  Filler,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartOptions,
} from 'chart.js';
import { useMemo } from 'react';
import { useTheme } from './chosen-theme';
import type { Theme } from './theme-script';

/** The colours of charts in a theme, from the page's variables: a canvas can't use their names. */
function chartColours(_theme: Theme) {
  const styles = getComputedStyle(document.documentElement);
  const of = (name: string) => styles.getPropertyValue(name).trim();
  return {
    ink: of('--ink'),
    rule: of('--rule'),
    rowan: of('--rowan'),
    rest: of('--rest'),
    band: `${of('--rest')}55`,
  };
}

Chart.register(CategoryScale, LinearScale, PointElement, LineElement, Filler, Tooltip);
Chart.defaults.font.family = "'Atkinson Hyperlegible', sans-serif";
Chart.defaults.font.size = 14;

/** The colours of charts in the theme that is chosen. */
export function useChartColours() {
  const theme = useTheme();
  return useMemo(() => chartColours(theme), [theme]);
}

/** A dataset that draws the edge of a band: no line, no dots, nothing to hit. */
export const bandEdge = (data: number[]) => ({
  data,
  borderWidth: 0,
  pointRadius: 0,
  pointHitRadius: 0,
});

/** The options of a small chart that is only looked at: values on the left, nothing to hit. */
export const plainOptions = (
  { ink, rule }: ReturnType<typeof useChartColours>,
  value: (amount: number) => string,
  y: { readonly grace?: string; readonly beginAtZero?: boolean } = {},
): ChartOptions<'line'> => ({
  animation: false,
  maintainAspectRatio: false,
  events: [],
  plugins: { legend: { display: false } },
  scales: {
    x: { offset: true, ticks: { color: ink }, grid: { display: false } },
    y: {
      ...y,
      ticks: { color: ink, callback: (amount) => value(Number(amount)) },
      grid: { color: rule },
    },
  },
});
