import { useCallback, useEffect, useMemo, useState } from 'react';
import { interpretLine, type Interpretation } from '@/core/log-text/interpret';
import type { Solution } from '@/core/survey/solution';

const loadReaders = () => import('@/core/survey/adjusted/provided');

/** How a line is read; a place by a grid waits for what reads grids, which few lines need. */
export function useInterpretation(text: string, place: Solution) {
  const [isLoaded, setIsLoaded] = useState(false);
  const found = useMemo<Interpretation>(
    () => interpretLine(text, place),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the core asks for what was loaded.
    [text, place, isLoaded],
  );
  const waits = found.kind === 'fault' && found.fault.code === 'model-not-loaded';
  useEffect(() => {
    if (!waits || isLoaded) return;
    let gone = false;
    void loadReaders().then(() => {
      if (!gone) setIsLoaded(true);
    });
    return () => {
      gone = true;
    };
  }, [waits, isLoaded]);
  /** The same once all that reads it is there: Enter may be quicker than what is loaded. */
  const settled = useCallback(async (): Promise<Interpretation> => {
    if (!waits) return found;
    await loadReaders();
    return interpretLine(text, place);
  }, [waits, found, text, place]);
  return { found, settled };
}
