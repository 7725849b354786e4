import type { Timing } from '../../model/route';
import type { Metres } from '../../units/units';
import { degrees } from '../../units/units';
import { walkMinutes } from '../ways/walk-time';

/**
 * Corrections for descents: ten minutes less for each 300 m on gentle slopes (5° to 12°), ten more
 * on steep ones. Source: E. Langmuir, Mountaincraft and Leadership, 1984 (memory).
 */
const LANGMUIR = { metres: 300, minutes: 10, gentle: 5, steep: 12 } as const;

/**
 * Minutes for a leg at a speed (km/h): on the level, with climbs after Naismith, or with climbs and
 * descents after Langmuir. The slope of a descent is that over the whole leg.
 */
export function legMinutes(
  timing: Timing,
  kilometresPerHour: number,
  metres: Metres,
  up: Metres,
  down: Metres,
): number {
  const minutes = walkMinutes(metres, kilometresPerHour, timing === 'level' ? 0 : up);
  if (timing !== 'langmuir' || down <= 0 || metres <= 0) return minutes;
  const slope = degrees(Math.atan(down / metres));
  const { gentle, steep } = LANGMUIR;
  if (slope < gentle) return minutes;
  const change = (down / LANGMUIR.metres) * LANGMUIR.minutes;
  return Math.max(0, minutes + (slope > steep ? change : -change));
}
