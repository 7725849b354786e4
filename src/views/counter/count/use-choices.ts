'use client';
import { useKept } from '@/views/shared/data/use-kept';
import { COUNTINGS, type Counting } from './leg-of-count';

/** How someone likes to count, remembered on the device. */
export interface Choices {
  readonly sound: boolean;
  readonly buzz: boolean;
  readonly counting: Counting;
  /** The speed of a leg by the clock; null for the usual one. */
  readonly kilometresPerHour: number | null;
}

const KEY = 'cairn-counter';

/** What is remembered, as far as it can be read. */
const remembered = (kept: Record<string, unknown>): Choices => ({
  sound: kept.sound === true,
  buzz: kept.buzz !== false,
  counting: COUNTINGS.find((each) => each === kept.counting) ?? 'paces',
  kilometresPerHour: typeof kept.kilometresPerHour === 'number' ? kept.kilometresPerHour : null,
});

/** The choices, and how to change them. */
export const useChoices = () => useKept(KEY, remembered);
