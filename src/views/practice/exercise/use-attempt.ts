'use client';
import { max } from 'd3-array';
import { useCallback, useRef, useState } from 'react';
import { seedSchema, LARGEST_SEED, type Attempt, type Stage } from '@/core/practice/attempt';
import type { Verdict } from '@/core/practice/judge';
import { keepAttempt } from '@/store/practice/practice';
import { browserDatabase } from '@/store/browser-database';
import { nth } from '@/core/units/nth';

/** A seed by chance, that a person can also type. */
export const anySeed = (): number =>
  1 + (nth(crypto.getRandomValues(new Uint32Array(1)), 0) % LARGEST_SEED);

/** The seed of an address; null for none, or one that can't be. */
export function seedOf(text: string | null): number | null {
  const read = seedSchema.safeParse(text === null ? null : Number(text));
  return read.success ? read.data : null;
}

interface About {
  readonly exercise: string;
  readonly seed: number;
  readonly stage: Stage;
  readonly course: string | null;
}

/** The result of a go, from the verdicts on its questions. */
function attemptOf(about: About, verdicts: readonly Verdict[], seconds: number): Attempt {
  const { course, ...rest } = about;
  const degrees = max(verdicts, ({ errorDegrees }) => errorDegrees ?? undefined);
  const metres = max(verdicts, ({ errorMetres }) => errorMetres ?? undefined);
  return {
    id: crypto.randomUUID(),
    ...rest,
    at: new Date().toISOString(),
    isRight: verdicts.every(({ isRight }) => isRight),
    slips: verdicts.flatMap(({ slip }) => slip ?? []),
    ...(degrees === undefined ? {} : { errorDegrees: degrees }),
    ...(metres === undefined ? {} : { errorMetres: metres }),
    seconds,
    ...(course === null ? {} : { course }),
  };
}

/** Keeps a go when its last question is answered; `saved` says when that is durable. */
export function useAttempt(about: About) {
  const begun = useRef<number | null>(null);
  const [saved, setSaved] = useState<'no' | 'saving' | 'yes' | 'failed'>('no');
  const begin = useCallback(() => {
    begun.current ??= performance.now();
  }, []);
  const keep = useCallback(
    async (verdicts: readonly Verdict[]) => {
      setSaved('saving');
      const seconds =
        Math.round((performance.now() - (begun.current ?? performance.now())) / 100) / 10;
      try {
        await keepAttempt(browserDatabase(), attemptOf(about, verdicts, seconds));
        setSaved('yes');
      } catch {
        setSaved('failed');
      }
    },
    [about],
  );
  return { begin, keep, saved };
}
