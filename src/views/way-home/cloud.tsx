'use client';
import { Button, Progress } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ellipse, insideEllipse } from '@/core/error-model';
import { missCovariance } from '@/core/home';
import { chanceByLine, type AimOff } from '@/core/aim-off';
import { thousandArrivals, walkOf, type HomeInSight, type Walk } from '@/core/monte-carlo';
import { aimedWalk, lineHome } from '@/core/aimed-walk';
import { chanceOfSight } from '@/core/sight';
import { stationName, type Solution } from '@/core/solve';
import styles from './way-home.module.css';
import { WORDS } from './words';

const SEED = 20_260_814;
const TRIALS = 1_000_000;
const HALF = 150;
const percent = (value: number) => (100 * value).toFixed(1);

/** Where many walks home would end, around home, with the ellipse that the formula gives and the range of sight. */
export function Cloud({
  solution,
  sight,
  aim,
}: {
  solution: Solution;
  sight: number;
  /** The aim onto a line, when one is weighed: its walks are counted beside the straight ones. */
  aim: AimOff | null;
}) {
  const { current, traverse } = solution;
  const walk = useMemo(
    () => walkOf(solution, -traverse.east[current]!, -traverse.north[current]!),
    [solution, traverse, current],
  );
  // A thousand walks cost less than a frame; only the million is work for others.
  const drawn = useMemo(() => thousandArrivals(walk), [walk]);
  const miss = missCovariance(solution, current, 0);
  const { semiMajorMetres, semiMinorMetres, azimuthDegrees } = ellipse(miss);
  const inside = Array.from({ length: drawn.length / 2 }, (_, i) =>
    insideEllipse(miss, drawn[2 * i]!, drawn[2 * i + 1]!),
  ).filter(Boolean).length;
  const k = HALF / (1.35 * Math.max(semiMajorMetres, sight));
  const dots = Array.from({ length: drawn.length / 2 }, (_, i) => {
    const [x, y] = [drawn[2 * i]! * k, -drawn[2 * i + 1]! * k];
    return Math.max(Math.abs(x), Math.abs(y)) > HALF ? '' : `M${x.toFixed(1)} ${y.toFixed(1)}h0`;
  }).join('');
  return (
    <section className={styles.part} aria-labelledby="cloud">
      <h2 id="cloud">{WORDS.cloud}</h2>
      <svg
        viewBox={`${-HALF} ${-HALF} ${2 * HALF} ${2 * HALF}`}
        className={styles.cloud}
        role="img"
        aria-label={WORDS.cloudHow}
      >
        <path d={dots} className={styles.dots} />
        <ellipse
          rx={semiMajorMetres * k}
          ry={semiMinorMetres * k}
          transform={`rotate(${azimuthDegrees - 90})`}
          className={styles.ellipse}
        />
        <circle r={sight * k} className={styles.sight} />
        <path d="M-6 0H6M0 -6V6" className={styles.cross} />
        <text x="8" y="-8">
          {stationName(solution, 0)}
        </text>
      </svg>
      <p className={styles.soft}>
        {WORDS.cloudHow} <span data-testid="inside">{WORDS.inside(inside)}</span>
      </p>
      <Million solution={solution} walk={walk} sight={sight} aim={aim} />
    </section>
  );
}

/** What a million walks say beside the formula, by the straight way and by the line. */
interface Said {
  readonly sight: number;
  readonly aim: AimOff | null;
  readonly words: readonly string[];
}

function Million({
  solution,
  walk,
  sight,
  aim,
}: {
  solution: Solution;
  walk: Walk;
  sight: number;
  aim: AimOff | null;
}) {
  const [share, setShare] = useState<number | null>(null);
  const [said, setSaid] = useState<Said | null>(null);
  const [failed, setFailed] = useState(false);
  const abort = useRef<AbortController | null>(null);
  useEffect(() => () => abort.current?.abort(), []);
  const run = async () => {
    const controller = new AbortController();
    abort.current = controller;
    setShare(0);
    setFailed(false);
    const runs = [
      {
        walk,
        home: { sightMetres: sight } as HomeInSight,
        closed: chanceOfSight(missCovariance(solution, solution.current, 0), sight),
        words: WORDS.simulated,
      },
    ];
    if (aim) {
      runs.push({
        walk: aimedWalk(solution, aim),
        home: { sightMetres: sight, line: lineHome(aim) },
        closed: chanceByLine(aim, sight),
        words: WORDS.simulatedAimed,
      });
    }
    try {
      const { arrivalsInWorkers } = await import('@/workers/arrivals');
      const words: string[] = [];
      for (const [index, each] of runs.entries()) {
        const arrivals = await arrivalsInWorkers({
          walk: each.walk,
          seed: SEED,
          trials: TRIALS,
          home: each.home,
          onProgress: (done) => setShare((index + done) / runs.length),
          signal: controller.signal,
        });
        if (!arrivals) break;
        const found = arrivals.inSight / arrivals.trials;
        words.push(
          each.words(arrivals.trials.toLocaleString('en'), percent(found), percent(each.closed)),
        );
      }
      if (words.length === runs.length) setSaid({ sight, aim, words });
    } catch {
      setFailed(true);
    }
    setShare(null);
  };
  const holds = said && said.sight === sight && said.aim === aim;
  return (
    <>
      {share === null ? (
        <Button onClick={run}>{WORDS.simulate}</Button>
      ) : (
        <div className={styles.row}>
          <Progress percent={Math.round(100 * share)} aria-label={WORDS.simulate} />
          <Button onClick={() => abort.current?.abort()}>{WORDS.cancel}</Button>
        </div>
      )}
      <div role="status" data-testid="simulated">
        {failed && <p>{WORDS.failed}</p>}
        {!failed && holds && said.words.map((words) => <p key={words}>{words}</p>)}
      </div>
    </>
  );
}
