import { useMemo, useState } from 'react';
import type { AimOff } from '@/core/aim-off';
import { faultWords } from '@/core/fault-words';
import { readBearingText } from '@/core/log-text/read-bearing-text';
import { bearingDegrees } from '@/core/reading';
import type { Solution } from '@/core/solve';
import { aimedOffHome, azimuthOf, type WayHome } from '@/core/ways-home';
import { aimOffWords, WORDS } from './words';

export type Side = 'left' | 'right';

/** A line through home as it is typed, the side to aim to, and the way that comes of it. */
export interface Aiming {
  readonly line: string;
  readonly setLine: (text: string) => void;
  readonly side: Side;
  readonly setSide: (side: Side) => void;
  /** Null without a line, or when it does not serve; then `fault` says why. */
  readonly way: WayHome | null;
  readonly aim: AimOff | null;
  readonly fault: string | null;
}

/** What is aimed off onto; shared by the comparison of the ways and the walks that are counted. */
export function useAiming(solution: Solution): Aiming {
  const [line, setLine] = useState('');
  const [side, setSide] = useState<Side>('right');
  return useMemo(
    () => ({ line, setLine, side, setSide, ...worked(solution, line, side) }),
    [solution, line, side],
  );
}

function worked(
  solution: Solution,
  line: string,
  side: Side,
): Pick<Aiming, 'way' | 'aim' | 'fault'> {
  const none = (fault: string | null) => ({ way: null, aim: null, fault });
  if (line.trim() === '') return none(null);
  const { end } = solution;
  const reading = readBearingText(line, end.read);
  if (!reading.ok) return none(faultWords(reading.fault));
  const bearing = { degrees: bearingDegrees(reading.value), north: reading.value.north };
  const azimuth = azimuthOf(bearing, end.offset);
  if (azimuth === null) return none(WORDS.needsDeclination);
  const found = aimedOffHome(solution, azimuth, side);
  if (!found.ok) return none(aimOffWords(found.fault));
  return { way: found.value, aim: found.value.aim ?? null, fault: null };
}
