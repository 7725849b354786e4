'use client';
import { Button, Checkbox, Radio } from 'antd';
import { useState } from 'react';
import { useSeen } from '@/ui/use-seen';
import { hasMotion } from '@/devices';
import { useMotionCount } from '@/views/shared/devices/use-motion-count';
import styles from './counter.module.css';
import { canBuzz } from './count/feedback';
import { COUNTINGS, type Counting } from './count/leg-of-count';
import type { CounterState, TapCounts } from './count/use-counter';
import { useWakeLock } from './use-wake-lock';
import { DEVICE_FAULTS } from '@/views/shared/devices/words';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  counter: CounterState;
  isEmpty: boolean;
}

/** What is counted and by what, sound, vibration, the motion sensor, and starting again. */
export function CounterOptions({ counter, isEmpty }: Props) {
  const { choices, choose, onPace, write } = counter;
  const [motion, setMotion] = useState(false);
  const isSeen = useSeen();
  // In a pocket it counts on; a page that is put aside before a count begins hears nothing.
  const motionFault = useMotionCount(motion && (isSeen || !isEmpty), onPace);
  const awake = useWakeLock();
  return (
    <details className={styles.more}>
      <summary>{WORDS.more}</summary>
      <Radio.Group
        aria-label={WORDS.countBy}
        value={choices.counting}
        onChange={(event) => choose({ counting: event.target.value as Counting })}
        optionType="button"
        buttonStyle="solid"
        block
        options={COUNTINGS.map((value) => ({ value, label: WORDS.countings[value] }))}
      />
      <TapChoice counter={counter} />
      <Checkbox
        checked={choices.buzz && canBuzz()}
        disabled={!canBuzz()}
        onChange={(event) => choose({ buzz: event.target.checked })}
      >
        {canBuzz() ? WORDS.vibration : WORDS.noVibration}
      </Checkbox>
      <Checkbox
        checked={choices.sound}
        onChange={(event) => choose({ sound: event.target.checked })}
      >
        {WORDS.sound}
      </Checkbox>
      {hasMotion() && (
        <Checkbox checked={motion} onChange={(event) => setMotion(event.target.checked)}>
          {WORDS.motion}
        </Checkbox>
      )}
      {motion && (
        <p className={layout.soft} role="status">
          {motionFault ? DEVICE_FAULTS[motionFault] : WORDS.motionCaution}
        </p>
      )}
      <p className={layout.soft}>{awake ? WORDS.awake : WORDS.dark}</p>
      <Button type="text" disabled={isEmpty} onClick={() => void write({ kind: 'end' })}>
        {WORDS.restart}
      </Button>
    </details>
  );
}

/** What one tap stands for. */
function TapChoice({ counter: { by, tapCounts, setTapCounts } }: { counter: CounterState }) {
  if (by.counting === 'minutes') return null;
  const taps = WORDS.taps[by.counting];
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
