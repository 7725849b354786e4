'use client';
import { Button, Progress } from 'antd';
import { useEffect, useRef, useState } from 'react';
import type { HomeDetection } from '@/core/errors/arrivals';
import { detectionChance } from '@/core/errors/detection';
import type { Walk } from '@/core/errors/random-walks';
import { detectionAlongLine, type AimOff } from '@/core/navigation/ways/aim-off';
import { positionError } from '@/core/navigation/position-error';
import { aimOffWalk, lineHome, straightWalk } from '@/core/navigation/simulated-walk';
import type { Solution } from '@/core/survey/solution';
import type { Metres } from '@/core/units/units';
import styles from './way-home.module.css';
import { WORDS } from './words';

const SEED = 20_260_814;
const TRIALS = 1_000_000;
const percent = (value: number) => (100 * value).toFixed(1);

interface Props {
  solution: Solution;
  sight: Metres;
  aim: AimOff | null;
}

/** One run of walks: what is simulated, what the formula says, and the sentence about both. */
interface Run {
  readonly walk: Walk;
  readonly home: HomeDetection;
  readonly formula: number;
  readonly words: (trials: string, share: string, formula: string) => string;
}

function runsOf({ solution, sight, aim }: Props): Run[] {
  const straight: Run = {
    walk: straightWalk(solution),
    home: { rangeMetres: sight },
    formula: detectionChance(positionError(solution, solution.current, 0), sight),
    words: WORDS.simulated,
  };
  if (!aim) return [straight];
  const aimed: Run = {
    walk: aimOffWalk(solution, aim),
    home: { rangeMetres: sight, line: lineHome(aim) },
    formula: detectionAlongLine(solution, solution.current, 0, aim, sight),
    words: WORDS.simulatedAimOff,
  };
  return [straight, aimed];
}

/** Simulates the runs one after another; null when it was cancelled. */
async function simulate(
  runs: readonly Run[],
  signal: AbortSignal,
  onProgress: (share: number) => void,
): Promise<string[] | null> {
  const { arrivalsInWorkers } = await import('@/workers/arrivals');
  const sentences: string[] = [];
  for (const [index, { walk, home, formula, words }] of runs.entries()) {
    const arrivals = await arrivalsInWorkers({
      walk,
      seed: SEED,
      trials: TRIALS,
      home,
      onProgress: (done) => onProgress((index + done) / runs.length),
      signal,
    });
    if (!arrivals) return null;
    const share = percent(arrivals.detected / arrivals.trials);
    sentences.push(words(arrivals.trials.toLocaleString('en'), share, percent(formula)));
  }
  return sentences;
}

/** The answer of the simulation, while the question is still the same. */
interface Answer {
  readonly question: Props;
  readonly sentences: readonly string[];
}

const isSame = (a: Props, b: Props) =>
  a.solution === b.solution && a.sight === b.sight && a.aim === b.aim;

/** A million walks in workers, beside what the formula says. */
export function MillionWalks(question: Props) {
  const [share, setShare] = useState<number | null>(null);
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [failed, setFailed] = useState(false);
  const abort = useRef<AbortController | null>(null);
  useEffect(() => () => abort.current?.abort(), []);
  const run = async () => {
    const controller = new AbortController();
    abort.current = controller;
    setShare(0);
    setFailed(false);
    try {
      const sentences = await simulate(runsOf(question), controller.signal, setShare);
      if (sentences) setAnswer({ question, sentences });
    } catch {
      setFailed(true);
    }
    setShare(null);
  };
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
        {!failed &&
          answer &&
          isSame(answer.question, question) &&
          answer.sentences.map((sentence) => <p key={sentence}>{sentence}</p>)}
      </div>
    </>
  );
}
