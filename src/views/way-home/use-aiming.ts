import { useMemo, useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { readBearingText } from '@/core/log-text/read-bearing-text';
import type { AimOff } from '@/core/navigation/ways/aim-off';
import { aimOffHome, azimuthFrom, type WayHome } from '@/core/navigation/ways/ways-home';
import { bearingDegrees } from '@/core/readings/bearing';
import type { Solution } from '@/core/survey/solution';
import { aimOffWords, WORDS } from './words';

export type Side = 'left' | 'right';

/** The way home by the line that is typed. */
interface AimedWay {
  /** Null without a line, or when it can't be used; then `fault` says why. */
  readonly way: WayHome | null;
  readonly aim: AimOff | null;
  readonly fault: string | null;
}

/** A line through home as it is typed, the side to aim to, and the way home by it. */
export interface Aiming extends AimedWay {
  readonly line: string;
  readonly setLine: (text: string) => void;
  readonly side: Side;
  readonly setSide: (side: Side) => void;
}

/** The line to aim off on, for the comparison of the ways and the simulated walks. */
export function useAiming(solution: Solution): Aiming {
  const [line, setLine] = useState('');
  const [side, setSide] = useState<Side>('right');
  return useMemo(
    () => ({ line, setLine, side, setSide, ...aimedWay(solution, line, side) }),
    [solution, line, side],
  );
}

function aimedWay(solution: Solution, line: string, side: Side): AimedWay {
  const none = (fault: string | null): AimedWay => ({ way: null, aim: null, fault });
  if (line.trim() === '') return none(null);
  const { end } = solution;
  const reading = readBearingText(line, end.readingNorth);
  if (!reading.ok) return none(faultMessage(reading.fault));
  const bearing = { degrees: bearingDegrees(reading.value), north: reading.value.north };
  const azimuth = azimuthFrom(bearing, end.offset);
  if (azimuth === null) return none(WORDS.needsDeclination);
  const found = aimOffHome(solution, azimuth, side);
  if (!found.ok) return none(aimOffWords(found.fault));
  return { way: found.value, aim: found.value.aim ?? null, fault: null };
}
