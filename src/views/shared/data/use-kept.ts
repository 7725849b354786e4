'use client';
import { useCallback, useRef, useState } from 'react';
import { keepChoice, keptObject } from '@/store/kept-choice';

/**
 * Choices that a device remembers under a key, and how to change some of them. `read` makes them
 * of what is kept, which another version may have written: it takes nothing on trust.
 */
export function useKept<Choices extends object>(
  key: string,
  read: (kept: Record<string, unknown>) => Choices,
) {
  const [choices, setChoices] = useState(() => read(keptObject(key)));
  // Two changes may come before the page is drawn again: each is on top of the one before.
  const newest = useRef(choices);
  const choose = useCallback(
    (change: Partial<Choices>) => {
      newest.current = { ...newest.current, ...change };
      setChoices(newest.current);
      keepChoice(key, JSON.stringify(newest.current));
    },
    [key],
  );
  return [choices, choose] as const;
}
