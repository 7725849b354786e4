import { isThere, wayHome } from '@/core/navigation/ways/way';
import type { Solution } from '@/core/survey/solution';
import { azimuthOf } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';

/** What is up on a sketch: the plane's north, the way one faces, or the way one went. */
export const ORIENTATIONS = ['north', 'heading', 'walked'] as const;
export type Orientation = (typeof ORIENTATIONS)[number];

/**
 * The bearing from the plane's north that is up: that of the last leg for the way one faces, that
 * from the start to the traveller for the way one went.
 */
export function upOf(solution: Solution, orientation: Orientation): Degrees {
  const { legs, places, current } = solution;
  if (orientation === 'heading' && legs.count > 0) return legs.leg(legs.count).bearingDegrees;
  if (orientation === 'walked' && !isThere(wayHome(solution))) {
    return azimuthOf(places.relative(0, current));
  }
  return 0;
}
