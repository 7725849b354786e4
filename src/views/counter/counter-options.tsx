'use client';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { useMotionCount } from '@/views/shared/devices/use-motion-count';
import styles from './counter.module.css';
import type { CounterState } from './use-counter';
import { useWakeLock } from './use-wake-lock';
import { DEVICE_FAULTS, WORDS } from './words';

interface Props {
  counter: CounterState;
  isEmpty: boolean;
}

/** Sound, vibration, single steps, the motion sensor, and starting again. */
export function CounterOptions({ counter, isEmpty }: Props) {
  const { choices, choose, onPace, write } = counter;
  const [motion, setMotion] = useState(false);
  const motionFault = useMotionCount(motion, onPace);
  const awake = useWakeLock();
  return (
    <details className={styles.more}>
      <summary>{WORDS.more}</summary>
      <Checkbox checked={choices.buzz} onChange={(event) => choose({ buzz: event.target.checked })}>
        {WORDS.vibration}
      </Checkbox>
      <Checkbox
        checked={choices.sound}
        onChange={(event) => choose({ sound: event.target.checked })}
      >
        {WORDS.sound}
      </Checkbox>
      <Checkbox
        checked={choices.counting === 'steps'}
        onChange={(event) => choose({ counting: event.target.checked ? 'steps' : 'paces' })}
      >
        {WORDS.steps}
      </Checkbox>
      <Checkbox checked={motion} onChange={(event) => setMotion(event.target.checked)}>
        {WORDS.motion}
      </Checkbox>
      {motion && (
        <p className={styles.soft} role="status">
          {motionFault ? DEVICE_FAULTS[motionFault] : WORDS.motionCaution}
        </p>
      )}
      <p className={styles.soft}>{awake ? WORDS.awake : WORDS.dark}</p>
      <Button type="text" disabled={isEmpty} onClick={() => void write({ kind: 'end' })}>
        {WORDS.restart}
      </Button>
    </details>
  );
}
