'use client';
import { useEffect, useState } from 'react';
import { StepDetector } from '@/core/pacing/step-detector';
import { motionDevice } from '@/devices';
import type { DeviceFault } from '@/devices/position';

/** Counts paces by the phone's motion while it is on: calls back at every second step. */
export function useMotionCount(on: boolean, onPace: () => void): DeviceFault | null {
  const [fault, setFault] = useState<DeviceFault | null>(null);
  useEffect(() => {
    if (!on) return;
    let stop: (() => void) | null = null;
    let gone = false;
    let steps = 0;
    const detector = new StepDetector();
    void motionDevice()
      .start(({ seconds, size }) => {
        if (detector.feed(seconds, size) && ++steps % 2 === 0) onPace();
      })
      .then((started) => {
        if (!started.ok) return setFault(started.fault);
        setFault(null);
        if (gone) started.value();
        else stop = started.value;
      });
    return () => {
      gone = true;
      stop?.();
    };
  }, [on, onPace]);
  return on ? fault : null;
}
