'use client';
import { Button } from 'antd';
import { clockMsAt, type Count } from '@/store/count';
import { SpeedField } from '@/views/shared/fields/unit-fields';
import styles from './counter.module.css';
import type { CounterState } from './count/use-counter';
import { lengthText } from '@/ui/units/shown';
import { WORDS } from './words';

interface Props {
  counter: CounterState;
  count: Count;
}

/** A leg by the clock: a stopwatch with pauses, at the person's own speed. */
export function Clock({ counter, count }: Props) {
  const { by, now, metres, choose, write } = counter;
  const runs = count.runsSince !== null;
  const seconds = Math.floor(clockMsAt(count, now) / 1000);
  return (
    <section className={styles.clock} aria-label={WORDS.clock}>
      <span className={styles.figure} data-testid="clock">
        {`${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`}
      </span>
      <span className={styles.metres} data-testid="counted-metres">
        {lengthText(metres ?? 0)}
      </span>
      <Button
        className={styles.start}
        type="primary"
        onClick={() => void write({ kind: 'clock', runs: !runs })}
      >
        {runs ? WORDS.pause : seconds === 0 ? WORDS.start : WORDS.goOn}
      </Button>
      <SpeedField
        id="speed"
        label={WORDS.speed}
        kilometresPerHour={by.kilometresPerHour}
        onChange={(kilometresPerHour) => choose({ kilometresPerHour })}
      />
    </section>
  );
}
