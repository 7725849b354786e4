import { useSearchParams } from 'next/navigation';
import { useState } from 'react';

/**
 * The query of this page's address, and a change of it that leaves no step behind in the history:
 * what a walk has come to survives a reload.
 */
export function useAddress() {
  const first = useSearchParams();
  const [query, setQuery] = useState(() => new URLSearchParams(first));
  const change = (fields: Readonly<Record<string, string | null>>) => {
    const next = new URLSearchParams(query);
    for (const [name, value] of Object.entries(fields)) {
      if (value === null) next.delete(name);
      else next.set(name, value);
    }
    history.replaceState(history.state, '', `${location.pathname}?${next}`);
    setQuery(next);
  };
  return { query, change };
}
export type Address = ReturnType<typeof useAddress>;
