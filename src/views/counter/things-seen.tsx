'use client';
import { Button } from 'antd';
import { useState } from 'react';
import { FEATURE_KINDS, SIDES, type Side } from '@/core/entries/feature';
import type { Count } from '@/store/count';
import { FeatureMark } from '@/ui/feature-mark';
import styles from './counter.module.css';
import type { CounterState } from './count/use-counter';
import { lengthText } from '@/ui/units/shown';
import { WORDS } from './words';

interface Props {
  counter: CounterState;
  count: Count;
  /** Something that no chip names. */
  onOther: () => void;
}

const ASIDE_METRES = [2, 5, 10, 20, 50] as const;

/** One tap notes what is seen, at this count; its side and metres may follow, or not. */
export function ThingsSeen({ counter, count, onOther }: Props) {
  const [asking, setAsking] = useState(false);
  const last = count.seen.at(-1);
  return (
    <section aria-label={WORDS.seen} className={styles.seen}>
      <div className={styles.things}>
        {FEATURE_KINDS.map((thing) => (
          <button
            key={thing}
            type="button"
            className={styles.thing}
            onClick={() => {
              setAsking(true);
              counter.setStatus(WORDS.seenAt(thing, count.seen.length + 1));
              void counter.write({ kind: 'seen', what: thing, thing });
            }}
          >
            <svg viewBox="-10 -10 20 20" aria-hidden="true">
              <FeatureMark kind={thing} />
            </svg>
            {thing}
          </button>
        ))}
        <button type="button" className={styles.thing} onClick={onOther}>
          <svg viewBox="-10 -10 20 20" aria-hidden="true">
            <FeatureMark kind={undefined} />
          </svg>
          {WORDS.otherThing}
        </button>
      </div>
      {asking && last && (
        <Beside
          key={count.seen.length}
          onBeside={(side, sideMetres) => {
            if (sideMetres !== undefined) setAsking(false);
            void counter.write({ kind: 'beside', side, sideMetres });
          }}
        />
      )}
    </section>
  );
}

/** On which side of the way it is, then how far from it. */
function Beside({ onBeside }: { onBeside: (side: Side, metres?: number) => void }) {
  const [side, setSide] = useState<Side | null>(null);
  return (
    <div className={styles.chips} role="group" aria-label={WORDS.side}>
      {SIDES.map((each) => (
        <Button
          key={each}
          type={side === each ? 'primary' : 'default'}
          aria-pressed={side === each}
          onClick={() => {
            setSide(each);
            onBeside(each);
          }}
        >
          {WORDS[each]}
        </Button>
      ))}
      {side &&
        ASIDE_METRES.map((metres) => (
          <Button key={metres} onClick={() => onBeside(side, metres)}>
            {lengthText(metres)}
          </Button>
        ))}
    </div>
  );
}
