'use client';
import { Checkbox, Slider } from 'antd';
import { useState } from 'react';
import { world, type SimulatedWorld } from '@/devices/simulated-world';
import styles from './device-panel.module.css';

interface Dial {
  readonly key:
    'stepsPerSecond' | 'motionNoise' | 'dropouts' | 'headingDegrees' | 'headingNoiseDegrees';
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly step: number;
}

const DIALS: readonly Dial[] = [
  { key: 'stepsPerSecond', label: 'Steps a second', min: 1.2, max: 2.4, step: 0.1 },
  { key: 'motionNoise', label: 'Noise of motion, m/s²', min: 0, max: 2, step: 0.1 },
  { key: 'dropouts', label: 'Share of readings lost', min: 0, max: 0.5, step: 0.01 },
  { key: 'headingDegrees', label: 'Heading, degrees', min: 0, max: 359, step: 1 },
  { key: 'headingNoiseDegrees', label: 'Noise of heading, degrees', min: 0, max: 15, step: 1 },
];

/** Controls the simulated devices: whether and how fast the walker walks, where, and the noise. */
export function DevicePanel() {
  const [shown, setShown] = useState<SimulatedWorld>({ ...world });
  const set = (change: Partial<SimulatedWorld>) => {
    Object.assign(world, change);
    setShown({ ...world });
  };
  return (
    <section className={styles.panel} aria-label="Simulated devices">
      <b>Simulated devices</b>
      <Checkbox
        checked={shown.walking}
        onChange={(event) => set({ walking: event.target.checked })}
      >
        Walking
      </Checkbox>
      {DIALS.map(({ key, label, min, max, step }) => (
        <div key={key} className={styles.dial}>
          <span id={`device-${key}`}>{label}</span>
          <Slider
            ariaLabelledByForHandle={`device-${key}`}
            min={min}
            max={max}
            step={step}
            value={shown[key]}
            onChange={(value) => set({ [key]: value })}
          />
          <output>{shown[key]}</output>
        </div>
      ))}
    </section>
  );
}
