'use client';
import { Button } from 'antd';
import { useEffect, useMemo, useRef } from 'react';
import { addEntries, type Command } from '@/core/edit/command';
import { followRoute, type Followed } from '@/core/navigation/route/follow';
import type { Plan } from '@/core/navigation/route/plan';
import { generalPace } from '@/core/survey/log-state';
import type { Solution } from '@/core/survey/solution';
import { bearingDigits } from '@/core/units/angle';
import { bearingText, lengthText } from '@/ui/units/shown';
import type { Metres } from '@/core/units/units';
import { visibleText } from '@/core/units/visible';
import { isEmpty, type Count } from '@/store/count';
import { expectedEntry } from '@/views/route/follow/arrival-entries';
import { useRoute } from '@/views/route/use-route';
import { viewUrl } from '@/views/views';
import { beep, buzz } from './count/feedback';
import type { CounterState } from './count/use-counter';
import styles from './counter.module.css';
import { WORDS } from './words';

interface Props {
  solution: Solution;
  counter: CounterState;
  count: Count;
  /** The id of the route that the outing follows. */
  route: string;
  run: (command: Command) => Promise<unknown>;
}

/** What the route says of the leg that is counted: what comes up, and when one went too far. */
export function RouteAhead(props: Props) {
  const opening = useRoute(props.route);
  const plan = opening.status === 'ready' && opening.open.plan.ok ? opening.open.plan.value : null;
  return plan ? <Ahead {...props} plan={plan} /> : null;
}

/** The catching feature is reported once, when the count comes past it. */
function useTooFar(counter: CounterState, beyond: Metres | null, words: string) {
  const { metres, choices, setStatus } = counter;
  const before = useRef(metres);
  useEffect(() => {
    const was = before.current ?? 0;
    before.current = metres;
    if (beyond === null || metres === null || was >= beyond || metres < beyond) return;
    if (choices.buzz) buzz('there');
    if (choices.sound) beep('there');
    setStatus(words);
  }, [metres, beyond, choices, setStatus, words]);
}

function Ahead({ solution, counter, count, plan, route, run }: Props & { plan: Plan }) {
  const followed = useMemo(() => followRoute(solution, plan), [solution, plan]);
  const { next, alongMetres } = followed;
  const walked = counter.metres ?? 0;
  const along = alongMetres + walked;
  const beyond = next?.catchingMetres ? next.catchingMetres - alongMetres : null;
  const { what = '' } = next?.plan.catching ?? {};
  useTooFar(counter, beyond, WORDS.tooFar(visibleText(what)));
  if (!next) return <p>{WORDS.routeDone}</p>;
  const pace = generalPace(solution.end);
  const tick = next.ticks.find(({ metres }) => metres >= along);
  return (
    <div className={styles.goal} data-testid="route-ahead">
      {tick && (
        <p role="status">
          {WORDS.tickAhead(visibleText(tick.what), tick.side, tick.metres - along, pace)}
        </p>
      )}
      <div className={styles.chips}>
        {isEmpty(count) ? (
          <SetOut followed={followed} counter={counter} run={run} solution={solution} />
        ) : (
          <Button
            loading={counter.isLogging}
            onClick={() =>
              void counter.log({ bearing: counter.bearing, station: next.to, note: '' })
            }
          >
            {WORDS.iAmAt(visibleText(next.to))}
          </Button>
        )}
        <Button href={viewUrl('route', route, { outing: solution.outing.id })}>
          {WORDS.openRoute}
        </Button>
      </div>
    </div>
  );
}

/** Sets bearing and target for the next point, and logs which way the leg should go. */
function SetOut({
  followed: { next, way, set },
  counter,
  run,
  solution,
}: { followed: Followed } & Pick<Props, 'counter' | 'run' | 'solution'>) {
  if (!next || !way || !set) return null;
  const go = async () => {
    const isSaid = solution.outing.entries.at(-1)?.kind === 'expect';
    if (!isSaid) await run(addEntries([expectedEntry(next)]));
    const letter = set.north === 'magnetic' ? '' : set.north.charAt(0).toUpperCase();
    counter.follow(bearingDigits(set.degrees) + letter, next.plan.ground);
    await counter.write({ kind: 'target', metres: way.distanceMetres, name: next.to });
  };
  return (
    <Button onClick={() => void go()}>
      {WORDS.setOut(visibleText(next.to), bearingText(set.degrees), lengthText(way.distanceMetres))}
    </Button>
  );
}
