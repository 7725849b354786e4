'use client';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { circularMean, threeDigits } from '@/core/angle';
import { headingDevice } from '@/devices';
import type { DeviceFault } from '@/devices/position';
import styles from './counter.module.css';
import { DEVICE_FAULTS, WORDS } from './words';

/** Readings that are averaged: about a second of them. */
const AVERAGED = 10;

/** What the phone's own compass says, with its caution; a bearing is taken only by a tap. */
export function CompassAid({ onTake }: { onTake: (bearing: string) => void }) {
  const [readings, setReadings] = useState<readonly number[]>([]);
  const [fault, setFault] = useState<DeviceFault | null>(null);
  useEffect(() => {
    let stop: (() => void) | null = null;
    let gone = false;
    void headingDevice()
      .start((heading) => setReadings((before) => [...before.slice(1 - AVERAGED), heading]))
      .then((started) => {
        if (!started.ok) return setFault(started.fault);
        if (gone) started.value();
        else stop = started.value;
      });
    return () => {
      gone = true;
      stop?.();
    };
  }, []);
  const mean = circularMean(readings);
  const shown = mean === null ? null : threeDigits(mean);
  return (
    <section className={styles.aid} aria-label={WORDS.compass}>
      <p className={styles.soft}>{fault ? DEVICE_FAULTS[fault] : WORDS.compassCaution}</p>
      {shown && (
        <Button onClick={() => onTake(`${shown.slice(0, 3)}M`)}>{WORDS.compassTake(shown)}</Button>
      )}
    </section>
  );
}
