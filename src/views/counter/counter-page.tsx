'use client';
import { Button } from 'antd';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { routeFollowed } from '@/core/navigation/route/follow';
import { devicesAreSimulated } from '@/devices';
import { isEmpty, openBox, type Count } from '@/store/count';
import { Beads } from '@/ui/controls/beads';
import { GroundChips } from '@/ui/controls/ground-chips';
import { TapArea } from '@/views/shared/devices/tap-area';
import { backToLog, ViewPage } from '@/views/shared/page/view-page';
import { groundsOf } from '@/views/shared/words/grounds';
import { Clock } from './clock';
import { CounterOptions } from './counter-options';
import styles from './counter.module.css';
import { Following } from './following';
import { NotInSight } from './not-in-sight';
import { HelpsOnTheWay, OnTheWay } from './on-the-way';
import { ThingsSeen } from './things-seen';
import { useCounter, type CounterProps, type CounterState } from './count/use-counter';
import { isInPaces, lengthText } from '@/ui/units/shown';
import { WORDS } from './words';

const ArrivedDialog = dynamic(() => import('./arrived-dialog').then((it) => it.ArrivedDialog), {
  ssr: false,
});
const FeatureDialog = dynamic(() => import('./feature-dialog').then((it) => it.FeatureDialog), {
  ssr: false,
});
const RouteAhead = dynamic(() => import('./route-ahead').then((it) => it.RouteAhead), {
  ssr: false,
});
const DevicePanel = dynamic(
  () => import('@/views/shared/devices/device-panel').then((it) => it.DevicePanel),
  { ssr: false },
);

type Dialog = 'arrived' | 'feature';

/** In the hand while walking: what is left, one huge area to tap, one button at the end. */
export function CounterPage(props: CounterProps) {
  const { solution, count } = props;
  const counter = useCounter(props);
  const [dialog, setDialog] = useState<Dialog | null>(null);
  const { metres, by } = counter;
  const on = useMemo(() => routeFollowed(solution), [solution]);
  return (
    <ViewPage
      view="counter"
      about={solution.outing.name}
      back={backToLog(solution.outing)}
      width="narrow"
      plain
    >
      <Following counter={counter} count={count} />
      <OnTheWay solution={solution} counter={counter} count={count} />
      {on && (
        <RouteAhead
          solution={solution}
          counter={counter}
          count={count}
          route={on.route}
          run={props.run}
        />
      )}
      {by.counting === 'minutes' ? (
        <Clock counter={counter} count={count} />
      ) : (
        <Figures counter={counter} count={count} />
      )}
      <Beads metres={metres ?? 0} />
      <ThingsSeen counter={counter} count={count} onOther={() => setDialog('feature')} />
      <Said counter={counter} />
      <Actions counter={counter} count={count} onNamed={() => setDialog('arrived')} />
      {/* Below all that a thumb may rest on: nothing moves when it appears. */}
      <NotInSight solution={solution} counter={counter} count={count} />
      <div className={styles.grounds}>
        <GroundChips
          grounds={groundsOf(solution)}
          chosen={count.ground}
          onChoose={(ground) => counter.follow(counter.bearing, ground)}
        />
      </div>
      <HelpsOnTheWay solution={solution} counter={counter} count={count} />
      <CounterOptions counter={counter} isEmpty={isEmpty(count)} />
      {devicesAreSimulated() && <DevicePanel />}
      <CounterDialog {...props} counter={counter} dialog={dialog} onClose={() => setDialog(null)} />
    </ViewPage>
  );
}

interface DialogProps extends CounterProps {
  counter: CounterState;
  dialog: Dialog | null;
  onClose: () => void;
}

function CounterDialog({ solution, counter, dialog, onClose }: DialogProps) {
  if (dialog === 'arrived') {
    return (
      <ArrivedDialog
        bearing={counter.bearing}
        line={counter.line}
        boxed={counter.boxed}
        solution={solution}
        onLog={async (texts) => {
          const failed = await counter.log(texts);
          if (failed === null) onClose();
          return failed;
        }}
        onClose={onClose}
      />
    );
  }
  return dialog === null ? null : (
    <FeatureDialog
      metres={counter.metres}
      onAdd={(feature) => {
        onClose();
        void counter.write({ kind: 'seen', ...feature });
      }}
      onClose={onClose}
    />
  );
}

/** The result of the last tap; a leg that was just logged can be taken back. */
const Said = ({ counter: { status, canTakeBack, unlog } }: { counter: CounterState }) => (
  <p className={styles.status}>
    <span role="status">{status}</span>
    {canTakeBack && (
      <button type="button" className={styles.takeBack} onClick={() => void unlog()}>
        {WORDS.takeBack}
      </button>
    )}
  </p>
);

interface ActionsProps {
  counter: CounterState;
  count: Count;
  onNamed: () => void;
}

function Actions({ counter, count, onNamed }: ActionsProps) {
  const cannotLog = isEmpty(count) || openBox(count) !== null;
  const arrive = () => {
    if (counter.bearing.trim() !== '') return void counter.arrive();
    counter.setStatus(WORDS.whichBearing);
    document.getElementById('follow')?.focus();
  };
  return (
    <div className={styles.actions}>
      <Button onClick={counter.undo} disabled={count.before === null}>
        {WORDS.undo}
      </Button>
      <Button disabled={cannotLog} onClick={onNamed}>
        {WORDS.named}
      </Button>
      <Button
        type="primary"
        className={styles.arrived}
        disabled={cannotLog}
        loading={counter.isLogging}
        onClick={arrive}
      >
        {WORDS.arrived}
      </Button>
    </div>
  );
}

function Figures({ counter, count }: { counter: CounterState; count: Count }) {
  const { by, metres, tap, undo } = counter;
  const box = openBox(count);
  const paces = box ? box[box.walking].paces : count.paces;
  const unit = WORDS.units[by.counting];
  return (
    <TapArea label={WORDS.tap(unit)} onTap={tap} onUndo={undo}>
      <span className={styles.figure} data-testid="counted">
        {by.counting === 'steps' ? paces * 2 : paces}
      </span>
      <span>{box ? WORDS.boxed[box.walking](unit) : unit}</span>
      <span className={styles.metres} data-testid="counted-metres">
        {isInPaces() ? '' : metres === null ? WORDS.noPace : lengthText(metres)}
      </span>
    </TapArea>
  );
}
