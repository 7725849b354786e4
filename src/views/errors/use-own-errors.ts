'use client';
import { useEffect, useState } from 'react';
import type { SigmaReading } from '@/core/model/error-settings';
import { keepOwnErrors, ownErrors, readingOf, type OwnErrors } from '@/store/own-errors';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { LEAST_SEEN, ownRecord, type OwnRecord } from './record';

/** A person's own errors: what is set, what is learned, and what can be done with them. */
export function useOwnErrors() {
  const [own, setOwn] = useState<OwnErrors>(ownErrors);
  const [record, setRecord] = useState<OwnRecord | null>(null);
  const [fault, setFault] = useState<StoreFault | null>(null);
  const { since } = own;
  const keep = (next: OwnErrors) => void keepOwnErrors(next).then(() => setOwn(next));
  useEffect(() => {
    let current = true;
    ownRecord(since).then(
      (found) => {
        if (!current) return;
        setRecord(found);
        const learned = found.learned.filter(({ seen }) => seen >= LEAST_SEEN).map(readingOf);
        const next = { ...ownErrors(), learned };
        void keepOwnErrors(next).then(() => current && setOwn(next));
      },
      (error: unknown) => current && setFault(storeFault(error)),
    );
    return () => {
      current = false;
    };
  }, [since]);
  return {
    own,
    record,
    fault,
    setLearns: (learns: boolean) => keep({ ...own, learns }),
    /** What was before this moment no longer counts; or all of it again. */
    forget: () => {
      setRecord(null);
      keep({ ...own, since: new Date().toISOString(), learned: [] });
    },
    remember: () => {
      setRecord(null);
      keep({ ...own, since: null });
    },
    /** Sets one sigma; null takes it back. */
    set: (of: SigmaReading['of'], reading: SigmaReading | null) => {
      const others = own.set.filter((each) => each.of !== of);
      keep({ ...own, set: reading ? [...others, reading] : others });
    },
  };
}
export type OwnErrorsState = ReturnType<typeof useOwnErrors>;
