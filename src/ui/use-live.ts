'use client';
import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';

/** What a query of the database comes to, again whenever it changes; undefined until it is known. */
export function useLive<Value>(query: () => Promise<Value>): Value | undefined {
  const [value, setValue] = useState<Value>();
  useEffect(() => {
    const live = liveQuery(query).subscribe({ next: setValue, error: () => setValue(undefined) });
    return () => live.unsubscribe();
  }, [query]);
  return value;
}
