'use client';
import { Button, Input } from 'antd';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { Command } from '@/core/edit/command';
import { NORTH_WORDS } from '@/core/entries/describe';
import { passedFeatures } from '@/core/navigation/ways/passed-features';
import { generalPace } from '@/core/survey/log-state';
import { stationName, type Solution } from '@/core/survey/solution';
import { bearingDigits, threeDigits } from '@/core/units/angle';
import { NORTH_LETTERS } from '@/core/units/bearing';
import type { Outcome } from '@/store/outing-session';
import { LINE_FORMS } from '@/views/outing/entry/line-forms';
import { backToWayHome, Section, ViewPage } from '@/views/shared/page/view-page';
import { metresText } from '@/views/shared/words/words';
import { viewUrl } from '@/views/views';
import { Search } from './search';
import { useWalk, type Walk } from './use-walk';
import styles from './walk.module.css';
import { passedWords, WORDS } from './words';

const LineForm = dynamic(() => import('@/views/outing/entry/line-form').then((it) => it.LineForm), {
  ssr: false,
});
const BOX_FORM = LINE_FORMS.find(({ key }) => key === 'box');

interface Props {
  solution: Solution;
  run: (command: Command) => Promise<Outcome>;
}

/** The guided walk: the bearing to follow, what to pass, stretches logged, arrival or search. */
export function WalkPage({ solution, run }: Props) {
  const { outing, current } = solution;
  const walk = useWalk(solution, run);
  const [searching, setSearching] = useState(false);
  const [boxing, setBoxing] = useState(false);
  const isHome = current === 0;
  return (
    <ViewPage view="walk" about={outing.name} back={backToWayHome(outing)} width="narrow" plain>
      {isHome ? <Arrived solution={solution} /> : <Follow solution={solution} walk={walk} />}
      {!isHome && !searching && (
        <>
          <p>{WORDS.how}</p>
          <Passes solution={solution} />
          <Stretch
            solution={solution}
            walk={walk}
            onBox={() => setBoxing(true)}
            onSearch={() => setSearching(true)}
          />
        </>
      )}
      <p role="status">{walk.status}</p>
      {searching && !isHome && <Search solution={solution} onStop={() => setSearching(false)} />}
      <p className={styles.caution}>{WORDS.caution}</p>
      {boxing && BOX_FORM && (
        <LineForm
          form={BOX_FORM}
          solution={solution}
          onSave={walk.save}
          onClose={() => setBoxing(false)}
        />
      )}
    </ViewPage>
  );
}

/** At home: by the log, and how well it closes. */
function Arrived({ solution }: { solution: Solution }) {
  const place = stationName(solution, 0);
  const closure = solution.closures.findLast(({ station }) => station === place);
  return (
    <section className={styles.strip}>
      <p className={styles.sentence}>{WORDS.arrived(place)}</p>
      {closure && (
        <p data-testid="closed">
          {WORDS.closed(Math.round(closure.metres), (100 * closure.ofWalked).toFixed(1))}
        </p>
      )}
    </section>
  );
}

interface WalkProps {
  solution: Solution;
  walk: Walk;
}

const Follow = ({ solution, walk: { home, follow } }: WalkProps) => (
  <section className={styles.strip} aria-label={WORDS.follow}>
    <p className={styles.figure} data-testid="follow">
      {threeDigits(follow.degrees)}
    </p>
    <p>{NORTH_WORDS[follow.north]}</p>
    <p className={styles.sentence} data-testid="left">
      {WORDS.left(metresText(home.distanceMetres), home.paces, stationName(solution, 0))}
    </p>
  </section>
);

/** What was seen on the way out, in the order in which it is passed on the way back. */
function Passes({ solution }: { solution: Solution }) {
  const passed = useMemo(() => passedFeatures(solution, solution.current, 0), [solution]);
  const pace = generalPace(solution.end);
  return (
    <Section id="passes" title={WORDS.passes}>
      {passed.length === 0 ? (
        <p className={styles.soft}>{WORDS.nothing}</p>
      ) : (
        <ol className={styles.passes} data-testid="passes">
          {passed.map((each) => (
            <li key={each.what + each.alongMetres}>{passedWords(each, pace)}</li>
          ))}
        </ol>
      )}
    </Section>
  );
}

interface StretchProps extends WalkProps {
  onBox: () => void;
  onSearch: () => void;
}

/** How far it went on this bearing, and what else may happen on the way. */
function Stretch({ solution, walk, onBox, onSearch }: StretchProps) {
  const { follow, unit, count, setCount, logStretch } = walk;
  const { id } = solution.outing;
  const toFollow = `${bearingDigits(follow.degrees)}${NORTH_LETTERS[follow.north]}`;
  return (
    <>
      <label htmlFor="walked">{WORDS.walked(unit)}</label>
      <Input
        id="walked"
        value={count}
        onChange={(event) => setCount(event.target.value)}
        inputMode="decimal"
        autoComplete="off"
      />
      <div className={styles.actions}>
        <Button onClick={() => logStretch(false)}>{WORDS.log}</Button>
        <Button type="primary" onClick={() => logStretch(true)}>
          {WORDS.there}
        </Button>
        <Button href={viewUrl('counter', id, { follow: toFollow })}>{WORDS.count}</Button>
        <Button disabled={solution.legs.count === 0} onClick={onBox}>
          {WORDS.box}
        </Button>
        <Button href={viewUrl('outing', id)}>{WORDS.otherLeg}</Button>
        <Button onClick={onSearch}>{WORDS.search}</Button>
      </div>
    </>
  );
}
