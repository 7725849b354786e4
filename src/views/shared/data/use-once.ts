import { useCallback, useRef, useState } from 'react';

/**
 * An action that is done once at a time: a second tap, or Enter held down, while it is under way
 * does nothing. The flag says that it is under way.
 */
export function useOnce<Args extends unknown[], Outcome>(
  act: (...args: Args) => Promise<Outcome>,
): readonly [(...args: Args) => Promise<Outcome | undefined>, boolean] {
  const underWay = useRef(false);
  const [busy, setBusy] = useState(false);
  const once = useCallback(
    async (...args: Args) => {
      if (underWay.current) return undefined;
      underWay.current = true;
      setBusy(true);
      try {
        return await act(...args);
      } finally {
        underWay.current = false;
        setBusy(false);
      }
    },
    [act],
  );
  return [once, busy];
}
