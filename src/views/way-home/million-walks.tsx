'use client';
import { Button, Progress } from 'antd';
import { useEffect, useRef, useState } from 'react';
import type { HomeDetection } from '@/core/errors/arrivals';
import type { Walk } from '@/core/errors/random-walks';
import { searcherErrors, searchPattern } from '@/core/navigation/search-pattern';
import { lineHome, searchForHome, walkBy } from '@/core/navigation/simulated-walk';
import { chanceOfSight } from '@/core/navigation/ways/chance-of-sight';
import type { WayHome } from '@/core/navigation/ways/ways-home';
import type { Solution } from '@/core/survey/solution';
import { azimuthOf } from '@/core/units/plane';
import type { Metres } from '@/core/units/units';
import { WAY_NAMES } from '@/views/shared/ways/words';
import styles from './way-home.module.css';
import { WORDS } from './words';

const SEED = 20_260_814;
const TRIALS = 1_000_000;
const percent = (value: number) => (100 * value).toFixed(1);

interface Props {
  solution: Solution;
  sight: Metres;
  /** The straight way, and the one that is chosen. */
  straight: WayHome;
  chosen: WayHome;
}

/** One run of walks: what is simulated, what the formulas say, and the sentence about both. */
interface Run {
  readonly walk: Walk;
  readonly home: HomeDetection;
  readonly formula: number;
  /** Chance of having found home after the search; null where none follows. */
  readonly searched: number | null;
  readonly name: string;
}

/** A way as it is simulated: an aim-off ends on the line; any other way, with a search. */
function runOf({ solution, sight }: Props, way: WayHome): Run {
  const { aim, kind, positionError } = way;
  const walk = walkBy(solution, way);
  const formula = chanceOfSight(solution, way, sight);
  const name = WAY_NAMES[kind];
  if (aim) {
    const home = { rangeMetres: sight, line: lineHome(aim) };
    return { walk, home, formula, searched: null, name };
  }
  const { places, current } = solution;
  const errors = searcherErrors(solution);
  const heading = azimuthOf(places.relative(current, 0));
  const legs = searchPattern('square', positionError, sight, heading, errors);
  const home = { rangeMetres: sight, search: searchForHome(legs, errors) };
  const found = legs.at(-1)?.found ?? 0;
  return { walk, home, formula, searched: formula + (1 - formula) * found, name };
}

const runsOf = (props: Props): Run[] =>
  (props.chosen.kind === 'straight' ? [props.straight] : [props.straight, props.chosen]).map(
    (way) => runOf(props, way),
  );

/** Simulates the runs one after another; null when it was cancelled. */
async function simulate(
  runs: readonly Run[],
  signal: AbortSignal,
  onProgress: (share: number) => void,
): Promise<string[] | null> {
  const { arrivalsInWorkers } = await import('@/workers/arrivals');
  const sentences: string[] = [];
  for (const [index, { walk, home, formula, searched, name }] of runs.entries()) {
    const arrivals = await arrivalsInWorkers({
      walk,
      seed: SEED,
      trials: TRIALS,
      home,
      onProgress: (done) => onProgress((index + done) / runs.length),
      signal,
    });
    if (!arrivals) return null;
    const { trials, detected } = arrivals;
    const count = trials.toLocaleString('en');
    const seen = WORDS.simulated(name, count, percent(detected / trials), percent(formula));
    const found = percent((detected + arrivals.searched) / trials);
    const then = searched === null ? '' : ` ${WORDS.thenSearch(found, percent(searched))}`;
    sentences.push(seen + then);
  }
  return sentences;
}

/** The answer of the simulation, while the question is still the same. */
interface Answer {
  readonly question: Props;
  readonly sentences: readonly string[];
}

const isSame = (a: Props, b: Props) =>
  a.solution === b.solution && a.sight === b.sight && a.chosen === b.chosen;

/** A million walks by the chosen way in workers, beside what the formulas say. */
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
