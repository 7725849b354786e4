'use client';
import { EyeOutlined, UndoOutlined } from '@ant-design/icons';
import { Button, Input, Radio } from 'antd';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { devicesAreSimulated } from '@/devices';
import type { Count } from '@/store/count';
import { Beads } from '@/ui/controls/beads';
import { GroundChips } from '@/ui/controls/ground-chips';
import { TapArea } from '@/views/shared/devices/tap-area';
import { backToLog, ViewPage } from '@/views/shared/page/view-page';
import { groundsOf } from '@/views/shared/words/grounds';
import { CompassAid } from './compass-aid';
import { CounterOptions } from './counter-options';
import styles from './counter.module.css';
import { useCounter, type CounterProps, type CounterState, type TapCounts } from './use-counter';
import { WORDS } from './words';

const ArrivedDialog = dynamic(() => import('./arrived-dialog').then((it) => it.ArrivedDialog), {
  ssr: false,
});
const FeatureDialog = dynamic(() => import('./feature-dialog').then((it) => it.FeatureDialog), {
  ssr: false,
});
const DevicePanel = dynamic(
  () => import('@/views/shared/devices/device-panel').then((it) => it.DevicePanel),
  { ssr: false },
);

type Dialog = 'arrived' | 'feature';

/** In the hand while walking: one huge area to tap, the beads, the metres so far. */
export function CounterPage(props: CounterProps) {
  const { solution, count } = props;
  const counter = useCounter(props);
  const [dialog, setDialog] = useState<Dialog | null>(null);
  const { metres, status } = counter;
  const isEmpty = count.paces === 0 && count.metres === 0;
  const close = () => setDialog(null);
  return (
    <ViewPage
      view="counter"
      about={solution.outing.name}
      back={backToLog(solution.outing)}
      width="narrow"
      plain
    >
      <Following counter={counter} ground={count.ground} />
      <GroundChips
        grounds={groundsOf(solution)}
        chosen={count.ground}
        onChoose={(ground) => counter.follow(counter.bearing, ground)}
      />
      <Figures counter={counter} count={count} />
      <Beads metres={metres ?? 0} />
      <p className={styles.status} role="status">
        {status || (count.seen.length > 0 && WORDS.features(count.seen.length))}
      </p>
      <TapChoice counter={counter} />
      <Actions counter={counter} count={count} isEmpty={isEmpty} onDialog={setDialog} />
      <CounterOptions counter={counter} isEmpty={isEmpty} />
      {devicesAreSimulated() && <DevicePanel />}
      {dialog === 'arrived' && (
        <ArrivedDialog
          bearing={counter.bearing}
          line={counter.line}
          solution={solution}
          onLog={async (texts) => {
            const failed = await counter.log(texts);
            if (failed === null) close();
            return failed;
          }}
          onClose={close}
        />
      )}
      {dialog === 'feature' && (
        <FeatureDialog
          metres={metres}
          onAdd={(feature) => {
            close();
            void counter.write({ kind: 'seen', ...feature });
          }}
          onClose={close}
        />
      )}
    </ViewPage>
  );
}

interface ActionsProps {
  counter: CounterState;
  count: Count;
  isEmpty: boolean;
  onDialog: (dialog: Dialog) => void;
}

const Actions = ({ counter, count, isEmpty, onDialog }: ActionsProps) => (
  <div className={styles.actions}>
    <Button
      icon={<UndoOutlined aria-hidden="true" />}
      onClick={counter.undo}
      disabled={count.undoable.length === 0}
    >
      {WORDS.undo}
    </Button>
    <Button icon={<EyeOutlined aria-hidden="true" />} onClick={() => onDialog('feature')}>
      {WORDS.addFeature}
    </Button>
    <Button
      type="primary"
      className={styles.arrived}
      disabled={isEmpty}
      onClick={() => onDialog('arrived')}
    >
      {WORDS.arrived}
    </Button>
  </div>
);

interface FollowingProps {
  counter: CounterState;
  ground: string | undefined;
}

/** The bearing to follow: typed, or taken from the phone's compass. */
function Following({ counter, ground }: FollowingProps) {
  const [compass, setCompass] = useState(false);
  return (
    <>
      <div className={styles.follow}>
        <label htmlFor="follow">{WORDS.follow}</label>
        <Input
          id="follow"
          className={styles.bearing}
          value={counter.bearing}
          placeholder={WORDS.followHint}
          inputMode="decimal"
          autoComplete="off"
          onChange={(event) => counter.follow(event.target.value, ground)}
        />
        <Button onClick={() => setCompass(!compass)} aria-expanded={compass}>
          {WORDS.compass}
        </Button>
      </div>
      {compass && (
        <CompassAid
          onUse={(bearing) => {
            setCompass(false);
            counter.follow(bearing, ground);
          }}
        />
      )}
    </>
  );
}

function Figures({ counter, count }: { counter: CounterState; count: Count }) {
  const { choices, metres, tap, undo } = counter;
  const unit = WORDS.units[choices.counting];
  return (
    <TapArea label={WORDS.tap(unit)} onTap={tap} onUndo={undo}>
      <span className={styles.figure} data-testid="counted">
        {choices.counting === 'steps' ? count.paces * 2 : count.paces}
      </span>
      <span>{unit}</span>
      <span className={styles.metres} data-testid="counted-metres">
        {metres === null ? WORDS.noPace : WORDS.metres(Math.round(metres).toLocaleString('en'))}
      </span>
    </TapArea>
  );
}

function TapChoice({ counter: { choices, tapCounts, setTapCounts } }: { counter: CounterState }) {
  const taps = WORDS.taps[choices.counting];
  return (
    <Radio.Group
      aria-label={WORDS.tapCounts}
      value={tapCounts}
      onChange={(event) => setTapCounts(event.target.value as TapCounts)}
      optionType="button"
      buttonStyle="solid"
      block
      options={[
        { value: 'one', label: taps.one },
        { value: 'ten', label: taps.ten },
        { value: 'hundred', label: WORDS.taps.hundred },
      ]}
    />
  );
}
