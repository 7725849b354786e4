'use client';
import { Button } from 'antd';
import type { Side } from '@/core/entries/feature';
import { readBearingText } from '@/core/readings/texts/read-bearing-text';
import { bearingDegrees } from '@/core/readings/bearing';
import { normalised } from '@/core/units/angle';
import { openBox, type BoxSide, type Count } from '@/store/count';
import styles from './counter.module.css';
import { boxLeft } from './count/progress';
import type { CounterState } from './count/use-counter';
import { bearingText } from '@/ui/units/shown';
import { WORDS } from './words';

interface Props {
  counter: CounterState;
  count: Count;
}

const RIGHT_ANGLE = 90;

/** The bearing of a side of a box; null where the one that is followed can't be read. */
function bearingOf(walking: BoxSide, side: Side, followed: string): string | null {
  const read = readBearingText(followed, 'magnetic');
  if (!read.ok) return null;
  const turn = side === 'right' ? RIGHT_ANGLE : -RIGHT_ANGLE;
  const turns = { out: turn, along: 0, back: -turn };
  return bearingText(normalised(bearingDegrees(read.value) + turns[walking]));
}

/** Round an obstacle while it is walked: out, along, back, each side with its own count. */
export function BoxPanel({ counter, count }: Props) {
  const box = openBox(count);
  if (!box) return null;
  const left = boxLeft(count);
  const bearing = bearingOf(box.walking, box.side, counter.bearing);
  return (
    <section className={styles.box} aria-label={WORDS.box} data-testid="box">
      <p>{WORDS.boxSide(box.walking, box.side, bearing)}</p>
      {left && (
        <p>
          <b>{WORDS.boxLeft(Math.max(0, left.paces), Math.max(0, Math.round(left.metres)))}</b>
        </p>
      )}
      <Button type="primary" onClick={() => void counter.write({ kind: 'turn' })}>
        {WORDS.boxTurn[box.walking]}
      </Button>
    </section>
  );
}
