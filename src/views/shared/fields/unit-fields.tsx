'use client';
import { lengthUnit, speedUnit } from '@/ui/units/shown';
import type { Metres } from '@/core/units/units';
import { NumberField } from './number-field';

/** To a hundredth: what is converted must not grow a tail of digits in the log. */
const hundredths = (value: number) => Math.round(value * 100) / 100;

interface LengthProps {
  id: string;
  /** Without the unit, which is added. */
  label: string;
  metres: Metres;
  leastMetres: Metres;
  mostMetres: Metres;
  onChange: (metres: Metres) => void;
}

/** A length, typed in the unit that the person wants figures in. */
export function LengthField({ id, label, metres, leastMetres, mostMetres, onChange }: LengthProps) {
  const { name, metres: one } = lengthUnit();
  return (
    <NumberField
      id={id}
      label={`${label}, in ${name}`}
      value={hundredths(metres / one)}
      least={hundredths(leastMetres / one)}
      most={hundredths(mostMetres / one)}
      onChange={(value) => onChange(hundredths(value * one))}
    />
  );
}

/** The slowest and the fastest that anyone goes on foot. */
const SLOWEST_KMH = 0.3;
const FASTEST_KMH = 12;

interface SpeedProps {
  id: string;
  label: string;
  kilometresPerHour: number;
  help?: string;
  onChange: (kilometresPerHour: number) => void;
}

/** A speed on foot, typed in the unit that the person wants figures in. */
export function SpeedField({ id, label, kilometresPerHour, help, onChange }: SpeedProps) {
  const { sign, kilometresPerHour: one } = speedUnit();
  return (
    <NumberField
      id={id}
      label={`${label}, ${sign}`}
      value={hundredths(kilometresPerHour / one)}
      least={hundredths(SLOWEST_KMH / one)}
      most={hundredths(FASTEST_KMH / one)}
      help={help}
      onChange={(value) => onChange(hundredths(value * one))}
    />
  );
}
