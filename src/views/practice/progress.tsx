'use client';
import { Popconfirm } from 'antd';
import { group, mean, rollups } from 'd3-array';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import type { Attempt } from '@/core/practice/attempt';
import { forgetAttempts } from '@/store/practice/practice';
import { PressButton } from '@/ui/controls/press-button';
import { plainOptions, useChartColours } from '@/ui/theme/charts';
import { browserDatabase } from '@/store/browser-database';
import { Section } from '@/views/shared/page/view-page';
import styles from './practice.module.css';
import { SLIP_NAMES, WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

/** The last so many goes are plotted. */
const PLOTTED = 60;
const percent = (share: number) => `${Math.round(100 * share)} %`;

/** How it goes: what was right, how far off, how fast, and which slips. */
export function Progress({ attempts }: { attempts: readonly Attempt[] }) {
  const counted = useMemo(() => attempts.filter(({ stage }) => stage !== 'show'), [attempts]);
  const days = [...group(counted, ({ at }) => at.slice(0, 10))].map(([day, tried]) => ({
    label: day.slice(5),
    value: mean(tried, ({ isRight }) => Number(isRight))!,
  }));
  const turned = counted.filter(({ errorDegrees }) => errorDegrees !== undefined).slice(-PLOTTED);
  return (
    <Section id="progress" title={WORDS.progress}>
      {counted.length === 0 ? (
        <p className={layout.soft}>{WORDS.noProgress}</p>
      ) : (
        <>
          <div className={styles.charts}>
            <Plot title={WORDS.rightByDay} points={days} text={percent} />
            <Plot
              title={WORDS.errorByTry}
              points={turned.map(({ errorDegrees = 0 }, index) => ({
                label: String(index + 1),
                value: errorDegrees,
              }))}
              text={(degrees) => `${degrees}°`}
            />
            <Plot
              title={WORDS.timeByTry}
              points={counted.slice(-PLOTTED).map(({ seconds }, index) => ({
                label: String(index + 1),
                value: seconds,
              }))}
              text={(seconds) => `${seconds} s`}
            />
          </div>
          <Slips attempts={counted} />
          <p className={layout.soft}>{WORDS.ownOnly}</p>
          <Popconfirm
            title={WORDS.forgetSure}
            okText={WORDS.yes}
            cancelText={WORDS.cancel}
            onConfirm={() => void forgetAttempts(browserDatabase())}
          >
            <PressButton>{WORDS.forget}</PressButton>
          </Popconfirm>
        </>
      )}
    </Section>
  );
}

/** The slips that were reported, the most frequent first. */
function Slips({ attempts }: { attempts: readonly Attempt[] }) {
  const slips = rollups(
    attempts.flatMap((each) => each.slips),
    (same) => same.length,
    (slip) => slip,
  ).sort(([, one], [, other]) => other - one);
  if (slips.length === 0) return null;
  return (
    <>
      <h3>{WORDS.slips}</h3>
      <ul className={styles.items}>
        {slips.map(([slip, count]) => (
          <li key={slip}>{WORDS.slipCount(SLIP_NAMES[slip] ?? slip, count)}</li>
        ))}
      </ul>
    </>
  );
}

interface PlotProps {
  title: string;
  points: readonly { readonly label: string; readonly value: number }[];
  text: (value: number) => string;
}

/** A small plot, and its last value in words for those who can't see it. */
function Plot({ title, points, text }: PlotProps) {
  const colours = useChartColours();
  const last = points.at(-1);
  if (!last) return null;
  return (
    <figure style={{ margin: 0 }}>
      <figcaption>{title}</figcaption>
      <div className={styles.chart}>
        <Line
          role="img"
          aria-label={
            `${title}: ${points.length}, the last ` + `${text(Math.round(100 * last.value) / 100)}`
          }
          data={{
            labels: points.map(({ label }) => label),
            datasets: [
              {
                data: points.map(({ value }) => value),
                borderColor: colours.ink,
                backgroundColor: colours.ink,
                borderWidth: 1.5,
                pointRadius: 3,
              },
            ],
          }}
          options={plainOptions(colours, text, { beginAtZero: true })}
        />
      </div>
    </figure>
  );
}
