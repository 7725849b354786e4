import type { Solution } from './solve';
import { radians, type Metres } from './units';

/** A spot in the plane, metres from the start in the working north. */
export interface PlaneSpot {
  readonly east: Metres;
  readonly north: Metres;
}

/** The place of something seen on a leg: metres along it, and to its left or right. */
export function besideLeg(
  { traverse }: Solution,
  leg: number,
  seen: { metres: Metres; side?: 'left' | 'right'; sideMetres?: Metres },
): PlaneSpot {
  const bearing = radians(traverse.bearingDegrees[leg]!);
  const across = (seen.side === 'left' ? -1 : 1) * (seen.sideMetres ?? 0);
  const origin = traverse.from[leg]!;
  return {
    east: traverse.east[origin]! + seen.metres * Math.sin(bearing) + across * Math.cos(bearing),
    north: traverse.north[origin]! + seen.metres * Math.cos(bearing) - across * Math.sin(bearing),
  };
}
