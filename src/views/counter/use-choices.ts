'use client';
import { useState } from 'react';
import type { Counting } from './leg-of-count';

/** How someone likes to count: kept on the device. */
interface Choices {
  readonly sound: boolean;
  readonly buzz: boolean;
  readonly counting: Counting;
}

const KEY = 'cairn-counter';
const USUAL: Choices = { sound: false, buzz: true, counting: 'paces' };

function kept(): Choices {
  try {
    return { ...USUAL, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Choices>) };
  } catch {
    return USUAL;
  }
}

export function useChoices(): [Choices, (change: Partial<Choices>) => void] {
  const [choices, setChoices] = useState(kept);
  const choose = (change: Partial<Choices>) => {
    const next = { ...choices, ...change };
    setChoices(next);
    try {
      localStorage.setItem(KEY, JSON.stringify(next));
    } catch {
      // Without storage the choice holds for this page alone.
    }
  };
  return [choices, choose];
}
