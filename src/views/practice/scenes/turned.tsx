'use client';
import { Slider } from 'antd';
import type { Degrees } from '@/core/units/units';
import page from '../exercise/exercise.module.css';

interface TurnedProps {
  label: string;
  value: Degrees;
  onTurn: (degrees: Degrees) => void;
  says?: string;
}

/** Something that is turned by a slider, in whole degrees. */
export function Turned({ label, value, onTurn, says }: TurnedProps) {
  const id = `turn-${label.replaceAll(/\W/g, '-')}`;
  return (
    <div>
      <p id={id}>{label}</p>
      <Slider
        ariaLabelledByForHandle={id}
        min={0}
        max={359}
        tooltip={{ open: false }}
        value={Math.round(value)}
        onChange={onTurn}
      />
      {says && (
        <p role="status" className={page.soft}>
          {says}
        </p>
      )}
    </div>
  );
}
