import { faultMessage } from '@/core/faults/messages';
import { readBearingText } from '@/core/readings/texts/read-bearing-text';
import type { AimOff } from '@/core/navigation/ways/aim-off';
import { aimOffHome, azimuthFrom, type WayHome } from '@/core/navigation/ways/ways-home';
import { bearingDegrees } from '@/core/readings/bearing';
import type { Solution } from '@/core/survey/solution';
import type { Side } from './way-choices';
import { aimOffWords, WAY_WORDS } from './words';

/** The way home by a line through it. */
export interface AimedWay {
  /** Null without a line, or when it can't be used; then `fault` says why. */
  readonly way: WayHome | null;
  readonly aim: AimOff | null;
  readonly fault: string | null;
}

/** The way home by a line as it was typed, aiming to one side. */
export function aimedWay(solution: Solution, line: string, side: Side): AimedWay {
  const none = (fault: string | null): AimedWay => ({ way: null, aim: null, fault });
  if (line.trim() === '') return none(null);
  const { end } = solution;
  const reading = readBearingText(line, end.readingNorth);
  if (!reading.ok) return none(faultMessage(reading.fault));
  const bearing = { degrees: bearingDegrees(reading.value), north: reading.value.north };
  const azimuth = azimuthFrom(bearing, end.offset);
  if (azimuth === null) return none(WAY_WORDS.needsDeclination);
  const found = aimOffHome(solution, azimuth, side);
  if (!found.ok) return none(aimOffWords(found.fault));
  return { way: found.value, aim: found.value.aim ?? null, fault: null };
}
