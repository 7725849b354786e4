'use client';
import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';

/** The result of a database query, kept up to date; null until it is known. */
export type Live<Value> = { readonly value: Value } | { readonly error: unknown } | null;

export function useLive<Value>(query: () => Promise<Value>): Live<Value> {
  const [live, setLive] = useState<Live<Value>>(null);
  useEffect(() => {
    const following = liveQuery(query).subscribe({
      next: (value) => setLive({ value }),
      error: (error: unknown) => setLive({ error }),
    });
    return () => following.unsubscribe();
  }, [query]);
  return live;
}
