'use client';
import { Button, Input } from 'antd';
import { useState } from 'react';
import type { Count } from '@/store/count';
import { CompassAid } from '@/views/shared/devices/compass-aid';
import styles from './counter.module.css';
import type { CounterState } from './count/use-counter';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  counter: CounterState;
  count: Count;
}

/** The bearing to follow: typed, kept from the leg before, or taken from the phone's compass. */
export function Following({ counter, count }: Props) {
  const [compass, setCompass] = useState(false);
  const { ground } = count;
  const isKept = count.isKept && counter.bearing === count.bearing;
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
          onFocus={(event) => event.target.select()}
        />
        <Button onClick={() => setCompass(!compass)} aria-expanded={compass}>
          {WORDS.compass}
        </Button>
      </div>
      {isKept && <p className={layout.soft}>{WORDS.kept}</p>}
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
