'use client';
import { Button } from 'antd';
import dayjs from 'dayjs';
import { useEffect, useState } from 'react';
import { missCovariance, placeOnMap, way } from '@/core/home';
import { message } from '@/core/message';
import { chanceOfSight } from '@/core/sight';
import { stationName, type Solution } from '@/core/solve';
import { doubtByLeg } from '@/core/ways-home';
import { ellipse } from '@/core/error-model';
import { ViewHeader } from '@/views/shared/view-header';
import { Cloud } from './cloud';
import { NumberField } from '@/views/shared/number-field';
import { useAiming } from './use-aiming';
import styles from './way-home.module.css';
import { Ways } from './ways';
import { chanceWords, WORDS } from './words';

const USUAL_SIGHT_METRES = 25;
const fives = (metres: number) => 5 * Math.ceil(metres / 5);
const percent = (share: number) => `${Math.round(100 * share)} %`;

/** How sure the way home is, the ways compared, and the words to send. */
export function WayHomePage({ solution }: { solution: Solution }) {
  const { outing, current } = solution;
  const [sight, setSight] = useState(USUAL_SIGHT_METRES);
  const aiming = useAiming(solution);
  const home = stationName(solution, 0);
  const straight = way(solution, current, 0);
  useEffect(() => {
    document.title = `${WORDS.title} · Cairn Back`;
  }, []);
  const there = straight.distanceMetres < 1;
  return (
    <div className={styles.page}>
      <ViewHeader
        title={WORDS.title}
        about={outing.name}
        back={{ href: `/outing?id=${encodeURIComponent(outing.id)}`, words: WORDS.back }}
      />
      <main className={styles.paper}>
        {there ? (
          <h2>{WORDS.atHome(home)}</h2>
        ) : (
          <>
            <div className={styles.columns}>
              <HowSure solution={solution} sight={sight} onSight={setSight} />
              <Cloud solution={solution} sight={sight} aim={aiming.aim} />
            </div>
            <Ways solution={solution} sight={sight} aiming={aiming} />
          </>
        )}
        <Message solution={solution} />
        <p className={styles.caution}>{WORDS.caution}</p>
      </main>
    </div>
  );
}

function HowSure({
  solution,
  sight,
  onSight,
}: {
  solution: Solution;
  sight: number;
  onSight: (metres: number) => void;
}) {
  const { current } = solution;
  const home = stationName(solution, 0);
  const miss = missCovariance(solution, current, 0);
  const within = fives(ellipse(miss).semiMajorMetres);
  const chance = chanceOfSight(miss, sight);
  const legs = doubtByLeg(solution);
  const walkShare = 1 - legs.reduce((sum, { share }) => sum + share, 0);
  return (
    <section className={styles.part} aria-labelledby="sure">
      <h2 id="sure">{WORDS.sure}</h2>
      <p className={styles.sentence} data-testid="sure">
        {WORDS.within(within, home)} {WORDS.seen(sight, chanceWords(chance))}
      </p>
      <NumberField
        id="sight"
        label={WORDS.sightRange}
        value={sight}
        least={1}
        most={5000}
        onChange={onSight}
      />
      <p className={styles.soft}>{WORDS.cancels}</p>
      {solution.working === 'true' && (
        <p className={styles.soft}>
          {WORDS.onMap(fives(placeOnMap(solution, current).semiMajorMetres))}
        </p>
      )}
      <h3>{WORDS.made}</h3>
      <ul className={styles.shares} data-testid="shares">
        <li>
          <span style={{ '--share': walkShare } as object}>{WORDS.madeWalk}</span>
          <b>{percent(walkShare)}</b>
        </li>
        {legs.slice(0, 6).map(({ leg, share }) => {
          const name = stationName(solution, leg);
          return (
            <li key={leg}>
              <span style={{ '--share': share } as object}>
                {WORDS.madeLeg(leg, name === String(leg) ? '' : name)}
              </span>
              <b>{percent(share)}</b>
            </li>
          );
        })}
      </ul>
      {legs[0] && legs[0].share > 0.1 && (
        <p className={styles.soft}>{WORDS.improve(legs[0].leg)}</p>
      )}
    </section>
  );
}

function Message({ solution }: { solution: Solution }) {
  const [status, setStatus] = useState('');
  const [text] = useState(() => message(solution, dayjs().format('HH:mm')));
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(text);
      setStatus(WORDS.copied);
    } catch {
      setStatus(text);
    }
  };
  return (
    <section className={styles.part} aria-labelledby="message">
      <h2 id="message">{WORDS.message}</h2>
      <p className={styles.message} data-testid="message">
        {text}
      </p>
      <div className={styles.row}>
        <Button onClick={copy}>{WORDS.copy}</Button>
        {'share' in navigator && (
          <Button onClick={() => void navigator.share({ text }).catch(() => undefined)}>
            {WORDS.share}
          </Button>
        )}
        <Button href={`/walk?id=${encodeURIComponent(solution.outing.id)}`} type="primary">
          {WORDS.walk}
        </Button>
        <Button href={`/pegs?id=${encodeURIComponent(solution.outing.id)}`}>{WORDS.pegs}</Button>
        <Button href={`/paper?id=${encodeURIComponent(solution.outing.id)}`}>{WORDS.paper}</Button>
        <span role="status">{status}</span>
      </div>
    </section>
  );
}
