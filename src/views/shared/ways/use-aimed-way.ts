import { useEffect, useMemo, useState } from 'react';
import type { Solution } from '@/core/survey/solution';
import type { AimedWay } from './aimed-way';
import type { Side } from './way-choices';

type Aim = (solution: Solution, line: string, side: Side) => AimedWay;

const NONE: AimedWay = { way: null, aim: null, fault: null };

/**
 * The way home by a line as it was typed. What reads the line is loaded once there is one: Home now
 * mostly has none.
 */
export function useAimedWay(solution: Solution, line: string, side: Side): AimedWay {
  const [loaded, setLoaded] = useState<{ readonly aimedWay: Aim } | null>(null);
  const waits = loaded === null && line.trim() !== '';
  useEffect(() => {
    if (!waits) return;
    let gone = false;
    void import('./aimed-way').then(({ aimedWay }) => {
      if (!gone) setLoaded({ aimedWay });
    });
    return () => {
      gone = true;
    };
  }, [waits]);
  return useMemo(
    () => loaded?.aimedWay(solution, line, side) ?? NONE,
    [loaded, solution, line, side],
  );
}
