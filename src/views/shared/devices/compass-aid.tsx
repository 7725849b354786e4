'use client';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { bearingDigits, circularMean } from '@/core/units/angle';
import { headingDevice } from '@/devices';
import type { DeviceFault } from '@/devices/position';
import styles from './compass-aid.module.css';
import { bearingText } from '@/ui/units/shown';
import { useSeen } from '@/ui/use-seen';
import { COMPASS_WORDS, DEVICE_FAULTS } from './words';

/** Readings that are averaged: about a second of them. */
const AVERAGED = 10;

/** What the phone's compass reads, with a caution; it becomes the bearing only by a tap. */
export function CompassAid({ onUse }: { onUse: (bearing: string) => void }) {
  const [readings, setReadings] = useState<readonly number[]>([]);
  const [fault, setFault] = useState<DeviceFault | null>(null);
  const isSeen = useSeen();
  useEffect(() => {
    if (!isSeen) return;
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
  }, [isSeen]);
  const mean = circularMean(readings);
  return (
    <section className={styles.aid} aria-label={COMPASS_WORDS.label}>
      <p className={styles.soft}>{fault ? DEVICE_FAULTS[fault] : COMPASS_WORDS.caution}</p>
      {mean !== null && (
        <Button onClick={() => onUse(`${bearingDigits(mean)}M`)}>
          {COMPASS_WORDS.take(bearingText(mean))}
        </Button>
      )}
    </section>
  );
}
