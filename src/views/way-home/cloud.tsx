'use client';
import { Button, Progress } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ellipse } from '@/core/error-model';
import { missCovariance } from '@/core/home';
import { ChunkRoom, chunkArrivals, walkChunk, walkOf, type Arrivals } from '@/core/monte-carlo';
import { chanceOfSight } from '@/core/sight';
import { stationName, type Solution } from '@/core/solve';
import styles from './way-home.module.css';
import { WORDS } from './words';

const SEED = 20_260_814;
const DRAWN = 1000;
const TRIALS = 1_000_000;
const HALF = 150;

/** Where many walks home would end, around home, with the ellipse that the formula gives and the range of sight. */
export function Cloud({ solution, sight }: { solution: Solution; sight: number }) {
  const { current, traverse } = solution;
  const walk = useMemo(
    () => walkOf(solution, -traverse.east[current]!, -traverse.north[current]!),
    [solution, traverse, current],
  );
  // A thousand walks cost less than a frame; only the million is work for others.
  const drawn = useMemo(() => {
    const room = new ChunkRoom();
    walkChunk(walk, SEED, 0, room);
    return chunkArrivals(room, DRAWN, sight, DRAWN).drawn;
  }, [walk, sight]);
  const miss = missCovariance(solution, current, 0);
  const { semiMajorMetres, semiMinorMetres, azimuthDegrees } = ellipse(miss);
  const k = HALF / (1.35 * Math.max(semiMajorMetres, sight));
  const dots = Array.from({ length: DRAWN }, (_, i) => {
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
      <p className={styles.soft}>{WORDS.cloudHow}</p>
      <Million walk={walk} sight={sight} closed={chanceOfSight(miss, sight)} />
    </section>
  );
}

function Million({
  walk,
  sight,
  closed,
}: {
  walk: ReturnType<typeof walkOf>;
  sight: number;
  closed: number;
}) {
  const [share, setShare] = useState<number | null>(null);
  const [found, setFound] = useState<{ arrivals: Arrivals; sight: number } | null>(null);
  const [failed, setFailed] = useState(false);
  const abort = useRef<AbortController | null>(null);
  useEffect(() => () => abort.current?.abort(), []);
  const run = async () => {
    const controller = new AbortController();
    abort.current = controller;
    setShare(0);
    setFailed(false);
    try {
      const { arrivalsInWorkers } = await import('@/workers/arrivals');
      const arrivals = await arrivalsInWorkers({
        walk,
        seed: SEED,
        trials: TRIALS,
        sightMetres: sight,
        onProgress: setShare,
        signal: controller.signal,
      });
      if (arrivals) setFound({ arrivals, sight });
    } catch {
      setFailed(true);
    }
    setShare(null);
  };
  const percent = (value: number) => (100 * value).toFixed(1);
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
      <p role="status" data-testid="simulated">
        {failed
          ? WORDS.failed
          : found && found.sight === sight
            ? WORDS.simulated(
                found.arrivals.trials.toLocaleString('en'),
                percent(found.arrivals.inSight / found.arrivals.trials),
                percent(closed),
              )
            : ''}
      </p>
    </>
  );
}
