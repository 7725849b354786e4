'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { keepChoice, keepTyped } from '@/store/keep-choice';
import { keptObject, onKept } from '@/store/kept-choice';

/** A choice is shown once it is kept; what is being typed is on the screen already. */
type Way = 'chosen' | 'typed';

/**
 * Choices that a device remembers under a key, and how to change some of them. `read` makes them
 * of what is kept, which another version may have written: it takes nothing on trust.
 */
export function useKept<Choices extends object>(
  key: string,
  read: (kept: Record<string, unknown>) => Choices,
  way: Way = 'chosen',
) {
  const [choices, setChoices] = useState(() => read(keptObject(key)));
  // Two changes may come before the first is kept: each is on top of the one before.
  const newest = useRef(choices);
  const pending = useRef(0);
  useEffect(
    () =>
      onKept((kept) => {
        // Another tab, or what the database had when it was opened.
        if (kept !== key || pending.current > 0) return;
        newest.current = read(keptObject(key));
        setChoices(newest.current);
      }),
    [key, read],
  );
  const choose = useCallback(
    async (change: Partial<Choices>) => {
      const next = { ...newest.current, ...change };
      newest.current = next;
      if (way === 'typed') {
        setChoices(next);
        return keepTyped(key, JSON.stringify(next));
      }
      pending.current++;
      await keepChoice(key, JSON.stringify(next));
      pending.current--;
      setChoices(next);
    },
    [key, way],
  );
  return [choices, choose] as const;
}
