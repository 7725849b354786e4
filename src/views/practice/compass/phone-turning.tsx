'use client';
import { memo, useEffect, useRef, useState } from 'react';
import { headingDevice } from '@/devices';
import type { DeviceFault } from '@/devices/position';
import { PressButton } from '@/ui/controls/press-button';
import { useSeen } from '@/ui/use-seen';
import { DEVICE_FAULTS } from '@/views/shared/devices/words';
import { WORDS } from '../words';
import styles from './compass.module.css';

/** The compass turned by the phone's own turning, while it is wanted and looked at. */
function usePhoneTurning(onHeading: (degrees: number) => void) {
  const [isOn, setIsOn] = useState(false);
  const [fault, setFault] = useState<DeviceFault | null>(null);
  const isSeen = useSeen();
  // What is done with a heading changes with each of them; the sensor goes on.
  const listener = useRef(onHeading);
  useEffect(() => {
    listener.current = onHeading;
  });
  useEffect(() => {
    if (!isOn || !isSeen) return;
    let stop: (() => void) | null = null;
    let gone = false;
    void headingDevice()
      .start((heading) => listener.current(heading))
      .then((started) => {
        if (!started.ok) {
          setFault(started.fault);
          return setIsOn(false);
        }
        if (gone) started.value();
        else stop = started.value;
      });
    return () => {
      gone = true;
      stop?.();
    };
  }, [isOn, isSeen]);
  return { isOn, setIsOn, fault };
}

interface PhoneProps {
  /** Where the phone points, from magnetic north. */
  onHeading: (degrees: number) => void;
}

/** Turns the compass with the phone, when asked. */
export const PhoneButton = memo(function PhoneButton({ onHeading }: PhoneProps) {
  const { isOn, setIsOn, fault } = usePhoneTurning(onHeading);
  return (
    <>
      <div className={styles.hands}>
        <PressButton aria-pressed={isOn} onClick={() => setIsOn(!isOn)}>
          {isOn ? WORDS.sensorOff : WORDS.sensor}
        </PressButton>
      </div>
      {fault && <p role="alert">{DEVICE_FAULTS[fault]}</p>}
    </>
  );
});
