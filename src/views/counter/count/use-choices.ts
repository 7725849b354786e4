'use client';
import { useState } from 'react';
import { keepChoice, keptObject } from '@/store/kept-choice';
import type { Counting } from './leg-of-count';

/** How someone likes to count, remembered on the device. */
export interface Choices {
  readonly sound: boolean;
  readonly buzz: boolean;
  readonly counting: Counting;
  /** The speed of a leg by the clock; null for the usual one. */
  readonly kilometresPerHour: number | null;
}

const KEY = 'cairn-counter';
const DEFAULTS: Choices = { sound: false, buzz: true, counting: 'paces', kilometresPerHour: null };

const remembered = (): Choices => ({ ...DEFAULTS, ...(keptObject(KEY) as Partial<Choices>) });

/** The choices, and how to change them. */
export function useChoices(): [Choices, (change: Partial<Choices>) => void] {
  const [choices, setChoices] = useState(remembered);
  const choose = (change: Partial<Choices>) => {
    const next = { ...choices, ...change };
    setChoices(next);
    keepChoice(KEY, JSON.stringify(next));
  };
  return [choices, choose];
}
