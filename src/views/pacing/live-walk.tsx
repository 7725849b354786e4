'use client';
import { Button, Checkbox } from 'antd';
import { useCallback, useState } from 'react';
import type { Calibration } from '@/core/model/pace-profile';
import { devicesAreSimulated } from '@/devices';
import type { CountLine } from '@/store/count';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { useCount } from '@/views/shared/data/use-count';
import { DevicePanel } from '@/views/shared/devices/device-panel';
import { TapArea } from '@/views/shared/devices/tap-area';
import { useMotionCount } from '@/views/shared/devices/use-motion-count';
import styles from './pacing.module.css';
import { WORDS } from './words';

interface Props {
  walk: number;
  counted: Calibration['counted'];
  onEnd: (count: number) => void;
  onCancel: () => void;
}

/** The count of a walk is stored under this name, tap by tap, as a leg's is under its outing's. */
const COUNT_ID = 'calibration';

/** Counts one walk over the course, tap by tap. */
export function LiveWalk({ walk, counted, onEnd, onCancel }: Props) {
  const { state, add } = useCount(COUNT_ID);
  const [fault, setFault] = useState<string | null>(null);
  const [motion, setMotion] = useState(false);
  const write = useCallback(
    async (line: CountLine) => {
      const wrong = await add(line);
      setFault(wrong && STORE_MESSAGES[wrong]);
      return wrong === null;
    },
    [add],
  );
  const tap = useCallback(() => void write({ kind: 'paces', by: 1 }), [write]);
  const undo = useCallback(() => void write({ kind: 'undo' }), [write]);
  useMotionCount(motion, tap);
  const unit = WORDS.units[counted];
  const count = state.status === 'ready' ? state.count.paces : 0;
  const end = async () => {
    if (await write({ kind: 'end' })) onEnd(count);
  };
  return (
    <div className={styles.live}>
      <b>{WORDS.counting(walk)}</b>
      <TapArea label={WORDS.tap(unit)} onTap={tap} onUndo={undo}>
        <span className={styles.figure} data-testid="walk-count">
          {count}
        </span>
        <span>{unit}</span>
      </TapArea>
      {fault && <p role="alert">{fault}</p>}
      <Checkbox checked={motion} onChange={(event) => setMotion(event.target.checked)}>
        {WORDS.motion}
      </Checkbox>
      <div className={styles.row}>
        <Button onClick={undo} disabled={count === 0}>
          {WORDS.undo}
        </Button>
        <Button onClick={onCancel}>{WORDS.stopCounting}</Button>
        <Button type="primary" onClick={end} disabled={count === 0}>
          {WORDS.endWalk}
        </Button>
      </div>
      {devicesAreSimulated() && <DevicePanel />}
    </div>
  );
}
