'use client';
import { Button, Checkbox } from 'antd';
import { useCallback, useState } from 'react';
import { devicesAreSimulated } from '@/devices';
import { STORE_WORDS } from '@/ui/store-words';
import { DevicePanel } from '@/views/shared/device-panel';
import { TapArea } from '@/views/shared/tap-area';
import { useCount } from '@/views/shared/use-count';
import { useMotionCount } from '@/views/shared/use-motion-count';
import styles from './paces.module.css';
import { WORDS } from './words';

interface Props {
  walk: number;
  unit: string;
  onEnd: (count: number) => void;
  onStop: () => void;
}

/** The count of a live walk is kept under this name, tap by tap, as a leg's is under its outing's. */
const COUNT_ID = 'calibration';

/** Counts one walk over the course, tap by tap. */
export function LiveWalk({ walk, unit, onEnd, onStop }: Props) {
  const { state, add } = useCount(COUNT_ID);
  const [fault, setFault] = useState<string | null>(null);
  const [motion, setMotion] = useState(false);
  const write = useCallback(
    async (line: Parameters<typeof add>[0]) => {
      const wrong = await add(line);
      setFault(wrong && STORE_WORDS[wrong]);
      return wrong === null;
    },
    [add],
  );
  const tap = useCallback(() => void write({ kind: 'paces', by: 1 }), [write]);
  const undo = useCallback(() => void write({ kind: 'undo' }), [write]);
  useMotionCount(motion, tap);
  const counted = state.status === 'ready' ? state.count.paces : 0;
  const end = async () => {
    if (await write({ kind: 'end' })) onEnd(counted);
  };
  return (
    <div className={styles.live}>
      <b>{WORDS.counting(walk)}</b>
      <TapArea label={`Count ${unit}`} onTap={tap} onUndo={undo}>
        <span className={styles.figure} data-testid="walk-count">
          {counted}
        </span>
        <span>{unit}</span>
      </TapArea>
      {fault && <p role="alert">{fault}</p>}
      <Checkbox checked={motion} onChange={(event) => setMotion(event.target.checked)}>
        Count by the phone’s motion
      </Checkbox>
      <div className={styles.row}>
        <Button onClick={undo} disabled={counted === 0}>
          Take one back
        </Button>
        <Button onClick={onStop}>{WORDS.stopCounting}</Button>
        <Button type="primary" onClick={end} disabled={counted === 0}>
          {WORDS.endWalk}
        </Button>
      </div>
      {devicesAreSimulated() && <DevicePanel />}
    </div>
  );
}
