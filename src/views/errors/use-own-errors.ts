'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { isLearned } from '@/core/learning/learn';
import type { SigmaReading } from '@/core/model/error-settings';
import { keepOwnErrors, ownErrors, readingOf, type OwnErrors } from '@/store/own-errors';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { ownRecord, type OwnRecord } from './record';

/** A person's own errors: what is set, what is learned, and what can be done with them. */
export function useOwnErrors() {
  const [own, setOwn] = useState<OwnErrors>(ownErrors);
  const [record, setRecord] = useState<OwnRecord | null>(null);
  const [fault, setFault] = useState<StoreFault | null>(null);
  const { since, name } = own;
  // Two changes may come before the first is kept: each is on top of the one before.
  const newest = useRef(own);
  const change = useCallback(async (make: (before: OwnErrors) => OwnErrors) => {
    const next = make(newest.current);
    newest.current = next;
    await keepOwnErrors(next);
    setOwn(next);
  }, []);
  useEffect(() => {
    let current = true;
    ownRecord(since, name).then(
      (found) => {
        if (!current) return;
        setRecord(found);
        const learned = found.learned.filter(isLearned).map(readingOf);
        void change((before) => ({ ...before, learned }));
      },
      (error: unknown) => current && setFault(storeFault(error)),
    );
    return () => {
      current = false;
    };
  }, [since, name, change]);
  return {
    own,
    record,
    fault,
    setLearns: (learns: boolean) => void change((before) => ({ ...before, learns })),
    /** Whose outings are the person's own; null for those that nobody is named in. */
    setName: (name: string | null) => {
      setRecord(null);
      void change((before) => ({ ...before, name }));
    },
    /** What was before this moment no longer counts; or all of it again. */
    forget: () => {
      setRecord(null);
      const since = new Date().toISOString();
      void change((before) => ({ ...before, since, learned: [] }));
    },
    remember: () => {
      setRecord(null);
      void change((before) => ({ ...before, since: null }));
    },
    /** Sets one sigma; null takes it back. */
    set: (of: SigmaReading['of'], reading: SigmaReading | null) => {
      void change((before) => {
        const others = before.set.filter((each) => each.of !== of);
        return { ...before, set: reading ? [...others, reading] : others };
      });
    },
  };
}
export type OwnErrorsState = ReturnType<typeof useOwnErrors>;
