'use client';
import { Slider } from 'antd';
import type { KeyboardEvent } from 'react';
import { normalised } from '@/core/units/angle';
import type { Degrees } from '@/core/units/units';
import layout from '@/views/shared/page/layout.module.css';

interface TurnedProps {
  label: string;
  value: Degrees;
  onTurn: (degrees: Degrees) => void;
  says?: string;
}

/** Degrees of an arrow key with Shift; the slider itself takes them by ones. */
const TENS: Readonly<Record<string, Degrees>> = {
  ArrowRight: 10,
  ArrowUp: 10,
  ArrowLeft: -10,
  ArrowDown: -10,
};

/** Something that is turned by a slider, in whole degrees; by keys also in tens. */
export function Turned({ label, value, onTurn, says }: TurnedProps) {
  const id = `turn-${label.replaceAll(/\W/g, '-')}`;
  const onKey = (event: KeyboardEvent) => {
    const by = TENS[event.key];
    if (!event.shiftKey || by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onTurn(normalised(Math.round(value) + by));
  };
  return (
    <div onKeyDownCapture={onKey}>
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
        <p role="status" className={layout.soft}>
          {says}
        </p>
      )}
    </div>
  );
}
