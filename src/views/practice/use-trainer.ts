'use client';
import type { Remote } from 'comlink';
import { useCallback, useEffect, useState } from 'react';
import { trainer } from '@/workers/practice/practice';
import type { PracticeWorker } from '@/workers/practice/practice-run';

/** What the worker answers. */
export type Asked<Value> =
  | { readonly status: 'waiting' }
  | { readonly status: 'failed' }
  | { readonly status: 'ready'; readonly value: Value };

type Ask<Value> = (remote: Remote<PracticeWorker>) => Promise<Value>;

/** Asks the trainer's worker, and again when the question is another; keep it by `useCallback`. */
export function useTrainer<Value>(ask: Ask<Value>): Asked<Value> {
  const [answered, setAnswered] = useState<{ ask: Ask<Value>; asked: Asked<Value> } | null>(null);
  useEffect(() => {
    let gone = false;
    const answer = (asked: Asked<Value>) => !gone && setAnswered({ ask, asked });
    trainer()
      .ask(ask)
      .then(
        (value) => answer({ status: 'ready', value }),
        () => answer({ status: 'failed' }),
      );
    return () => {
      gone = true;
    };
  }, [ask]);
  return answered?.ask === ask ? answered.asked : { status: 'waiting' };
}

/** The drawing of a country's map. */
export const useCountryDrawing = (country: number) =>
  useTrainer(useCallback((remote) => remote.drawing(country), [country]));
