'use client';
import { Button, Input } from 'antd';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Command } from '@/core/edit/command';
import { positionErrorEllipse } from '@/core/navigation/position-error';
import { wayHome } from '@/core/navigation/ways/way';
import { stationName, type Solution } from '@/core/survey/solution';
import { bearingDigits } from '@/core/units/angle';
import { NORTH_LETTERS } from '@/core/units/bearing';
import type { Outcome } from '@/store/outing-session';
import { LINE_FORMS } from '@/views/outing/entry/line-forms';
import { backToWayHome, ViewPage } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import { Arrived, Follow, Passes, WalkHelps } from './follow';
import { Search } from './search';
import { useAddress, type Address } from './use-address';
import { useWalk, type Walk } from './use-walk';
import styles from './walk.module.css';
import { distanceText } from '@/ui/units/shown';
import { WORDS } from './words';

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
  const address = useAddress();
  const walk = useWalk(solution, run, address);
  const [boxing, setBoxing] = useState(false);
  const isHome = current === 0 && !walk.stage.along;
  const searching = address.query.get('search') !== null && !isHome;
  return (
    <ViewPage view="walk" about={outing.name} back={backToWayHome(outing)} width="narrow" plain>
      {isHome ? (
        <Arrived solution={solution} />
      ) : (
        !searching && <Follow solution={solution} walk={walk} />
      )}
      {!isHome && !searching && (
        <>
          {walk.stage.lineFailed && <p className={styles.sentence}>{WORDS.lineFailed}</p>}
          <p>{walk.stage.along ? WORDS.alongHow : WORDS.how}</p>
          <Passes solution={solution} walk={walk} />
          <Stretch
            solution={solution}
            walk={walk}
            address={address}
            onBox={() => setBoxing(true)}
          />
          <WalkHelps solution={solution} walk={walk} />
        </>
      )}
      {walk.uncounted && <Afterwards solution={solution} walk={walk} from={walk.uncounted.from} />}
      <p role="status">{walk.status}</p>
      {searching && <Search solution={solution} walk={walk} address={address} />}
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

/** The count of a way that was walked to its end before anyone said how far it was. */
function Afterwards({ solution, walk, from }: { solution: Solution; walk: Walk; from: number }) {
  const { unit, count, setCount, logAfterwards } = walk;
  const [start, end] = [from, solution.current].map((each) => stationName(solution, each));
  return (
    <form
      data-testid="afterwards"
      onSubmit={(event) => {
        event.preventDefault();
        void logAfterwards();
      }}
    >
      <label htmlFor="afterwards">{WORDS.afterwards(unit, start!, end!)}</label>
      <Input
        id="afterwards"
        value={count}
        onChange={(event) => setCount(event.target.value)}
        inputMode="decimal"
        autoComplete="off"
      />
      <Button type="primary" htmlType="submit" disabled={count.trim() === ''}>
        {WORDS.log}
      </Button>
    </form>
  );
}

interface StretchProps {
  solution: Solution;
  walk: Walk;
  address: Address;
  onBox: () => void;
}

/** How far it went on this bearing, and what else may happen on the way. */
function Stretch({ solution, walk, address, onBox }: StretchProps) {
  const { stage, follow, unit, count, setCount, setStatus, logStretch } = walk;
  const { id } = solution.outing;
  const toFollow = `${bearingDigits(follow.degrees)}${NORTH_LETTERS[follow.north]}`;
  const toCount = {
    follow: toFollow,
    metres: stage.distanceMetres.toFixed(1),
    to: stage.toLine ? WORDS.theLine : stage.name,
  };
  /** A search begins where the walk is done: further off, home can't be in sight yet. */
  const [isAsking, setAsking] = useState(false);
  const search = async (isCounted: boolean) => {
    const left = wayHome(solution).distanceMetres;
    const within = positionErrorEllipse(solution, solution.current, 0).semiMajorMetres;
    const isDone = stage.along !== null || left <= within;
    const begin = (from: number) =>
      address.change({ search: String(from), pattern: 'square', walked: '0', via: null });
    if (isDone) return begin(solution.current);
    if (stage.target !== 0) {
      return setStatus(WORDS.notDone(distanceText(left), stationName(solution, 0)));
    }
    if (isCounted && count.trim() === '') return setAsking(true);
    // The leg that is logged now makes the station where the search begins.
    if (await walk.logUnseen(isCounted)) begin(solution.legs.count + 1);
  };
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
        <Button
          type="primary"
          className={styles.there}
          onClick={() => logStretch(stage.toLine ? 'line' : 'station')}
        >
          {stage.toLine ? WORDS.atLine : WORDS.there}
        </Button>
        <Button onClick={() => logStretch('on-the-way')}>{WORDS.log}</Button>
        <Button href={viewUrl('counter', id, toCount)}>{WORDS.count}</Button>
        <Button disabled={solution.legs.count === 0} onClick={onBox}>
          {WORDS.box}
        </Button>
        <Button href={viewUrl('outing', id)}>{WORDS.otherLeg}</Button>
        <Button onClick={() => void search(true)}>{WORDS.search}</Button>
      </div>
      {isAsking && (
        <p data-testid="asks-count" role="alert">
          {WORDS.asksCount(unit)}{' '}
          <Button onClick={() => void search(false)}>{WORDS.notCounted(walk.planned, unit)}</Button>
        </p>
      )}
    </>
  );
}
