'use client';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { SIDES } from '@/core/entries/feature';
import { paceOn } from '@/core/survey/log-state';
import { passedFeatures } from '@/core/navigation/ways/passed-features';
import { homeMeans } from '@/core/survey/home-means';
import { stationNamed, type Solution } from '@/core/survey/solution';
import { passedWords } from '@/views/shared/ways/passed-words';
import { openBox, type Count, type CountLine } from '@/store/count';
import { BoxPanel } from './box-panel';
import styles from './counter.module.css';
import { goalsOf, sinceMark } from './count/progress';
import { TargetChoice } from './target-choice';
import type { CounterState } from './count/use-counter';
import { bearingText, isInPaces, lengthText } from '@/ui/units/shown';
import { backBearing } from '@/core/units/angle';
import { visibleText } from '@/core/units/visible';
import { offAfter } from '@/core/navigation/position-error';
import { Helps } from '@/views/shared/ways/helps';
import { HELP_WORDS } from '@/views/shared/ways/help-words';
import { WORDS } from './words';

interface Props {
  solution: Solution;
  counter: CounterState;
  count: Count;
}

/** What can be asked for on the way: a target, the next mark, a way round an obstacle. */
const ASKS = ['target', 'mark', 'box'] as const;
type Ask = (typeof ASKS)[number];

/** What is left to the target and to the next mark, the box that is walked; how they are set. */
export function OnTheWay({ solution, counter, count }: Props) {
  const [asked, setAsked] = useState<Ask | null>(null);
  const isTimed = counter.by.counting === 'minutes';
  const choose = (line: CountLine) => {
    setAsked(null);
    void counter.write(line);
  };
  return (
    <section className={styles.goals} aria-label={WORDS.goals}>
      <Left solution={solution} counter={counter} count={count} />
      <Ahead solution={solution} counter={counter} count={count} />
      {openBox(count) ? (
        <BoxPanel counter={counter} count={count} />
      ) : (
        <div className={styles.asks}>
          {ASKS.map((ask) => (
            <Button
              key={ask}
              aria-expanded={asked === ask}
              disabled={isTimed && ask !== 'target'}
              onClick={() => setAsked(asked === ask ? null : ask)}
            >
              {WORDS.asks[ask]}
            </Button>
          ))}
        </div>
      )}
      {asked === 'target' && (
        <TargetChoice
          solution={solution}
          onChoose={(target) => choose({ kind: 'target', ...target })}
        />
      )}
      {asked === 'mark' && (
        <NextMark onChoose={(aheadMetres) => choose({ kind: 'mark', aheadMetres })} />
      )}
      {asked === 'box' && (
        <div className={styles.chips} role="group" aria-label={WORDS.box}>
          {SIDES.map((side) => (
            <Button key={side} onClick={() => choose({ kind: 'box', side })}>
              {WORDS.boxTo(side)}
            </Button>
          ))}
        </div>
      )}
    </section>
  );
}

/** Metres and paces to each goal, or beyond it. */
function Left({ solution, counter, count }: Props) {
  const { paceLength } = paceOn(solution.end, count.ground);
  const since = sinceMark(solution, count);
  return (
    <>
      {goalsOf(solution, count, counter.metres).map(({ name, leftMetres }) => (
        <p key={name ?? ''} className={styles.goal} data-testid={name === null ? 'mark' : 'target'}>
          {WORDS.goalLeft(name, leftMetres, Number.isNaN(paceLength) ? null : paceLength)}
        </p>
      ))}
      {since !== null && count.mark?.aheadMetres === undefined && (
        <p data-testid="mark">{WORDS.sinceMark(since)}</p>
      )}
    </>
  );
}

/** Said only of what is so near that one looks out for it. */
const LOOK_OUT_METRES = 100;

/** What was logged on the way out beside the way to the target; the same until either changes. */
function usePassed(solution: Solution, count: Count) {
  const station = count.target === null ? undefined : stationNamed(solution, count.target.name);
  return useMemo(
    () => (station === undefined ? [] : passedFeatures(solution, solution.current, station)),
    [solution, station],
  );
}

/** What was logged on the way out and is passed next, on the way to a station. */
function Ahead({ solution, counter: { metres }, count }: Props) {
  const passed = usePassed(solution, count);
  const next = passed.find(({ alongMetres }) => alongMetres >= (metres ?? 0));
  if (!next || metres === null || next.alongMetres - metres > LOOK_OUT_METRES) return null;
  const { paceMetres } = homeMeans(solution.end);
  return (
    <p role="status" data-testid="ahead">
      {passedWords({ ...next, alongMetres: next.alongMetres - metres }, paceMetres)}
    </p>
  );
}

/** Judged by eye, a mark is so far ahead, or so. */
const AHEAD_METRES = [25, 50, 75, 100, 150] as const;

/** How far ahead the next mark is. */
const NextMark = ({ onChoose }: { onChoose: (metres: number | undefined) => void }) => (
  <div className={styles.chips} role="group" aria-label={WORDS.nextMark}>
    <span>{WORDS.nextMark}</span>
    {AHEAD_METRES.map((metres) => (
      <Button key={metres} onClick={() => onChoose(metres)}>
        {lengthText(metres)}
      </Button>
    ))}
    <Button onClick={() => onChoose(undefined)}>{WORDS.noNext}</Button>
  </div>
);

/** What helps on the way: the mark sighted again, and what to hold against the feeling. */
export function HelpsOnTheWay({ solution, counter, count }: Props) {
  const { metres, bearing } = counter;
  const passed = usePassed(solution, count);
  const facts: string[] = [];
  if (metres !== null && metres > 0 && !isInPaces()) {
    const behind = passed.filter(({ alongMetres }) => alongMetres < metres);
    facts.push(
      HELP_WORDS.after(metres, offAfter(solution, metres)),
      ...behind.map(({ what, alongMetres }) =>
        HELP_WORDS.shouldHavePassed(visibleText(what), metres - alongMetres),
      ),
    );
  }
  const degrees = /^\s*\d{1,3}(\.\d+)?\s*$/.test(bearing) ? Number(bearing) : null;
  return (
    <Helps
      bearing={degrees === null ? null : bearingText(degrees)}
      back={degrees === null ? null : bearingText(backBearing(degrees))}
      facts={facts}
    />
  );
}
