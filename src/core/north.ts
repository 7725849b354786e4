import { normalised, signedDifference } from './angle';
import type { Degrees } from './units';

/**
 * | symbol | meaning                                             | unit    | equation                |
 * | D      | declination: from true to magnetic north, east +    | degrees | true = magnetic + D     |
 * | C      | convergence: from true to grid north, east +        | degrees | true = grid + C         |
 * | G      | grid-magnetic angle                                 | degrees | G = D - C, grid = magnetic + G |
 */
export const NORTHS = ['magnetic', 'true', 'grid'] as const;
export type North = (typeof NORTHS)[number];

/** A bearing in [0, 360) that says which north it is from. */
export interface Bearing {
  readonly degrees: Degrees;
  readonly north: North;
}

/** The angles between the norths; a null declination means that only magnetic bearings can be used. */
export interface Norths {
  readonly declinationEast: Degrees | null;
  readonly convergenceEast: Degrees;
  /** The map's own north lines are drawn to magnetic north: map and needle read alike. */
  readonly gridIsMagnetic?: boolean;
}

/** The north in which coordinates are reckoned: true when the declination is known, else magnetic. */
export const workingNorth = (norths: Norths): North =>
  norths.declinationEast === null ? 'magnetic' : 'true';

/** What to add to a bearing from this north to get one from the working north; null when it is not known. */
export function towardWorking(north: North, norths: Norths): Degrees | null {
  const likeNeedle = north === 'magnetic' || (north === 'grid' && norths.gridIsMagnetic === true);
  if (norths.declinationEast === null) return likeNeedle ? 0 : null;
  if (likeNeedle) return norths.declinationEast;
  return north === 'grid' ? norths.convergenceEast : 0;
}

/** How far east of one north another lies; null when it is not known. */
export function northEastOf(north: North, other: North, norths: Norths): Degrees | null {
  const [here, there] = [towardWorking(north, norths), towardWorking(other, norths)];
  return here === null || there === null ? null : signedDifference(here, there);
}

/** The same direction from another north; null when the declination that it takes is not known. */
export function converted(bearing: Bearing, to: North, norths: Norths): Bearing | null {
  if (bearing.north === to) return { degrees: normalised(bearing.degrees), north: to };
  const up = towardWorking(bearing.north, norths);
  const down = towardWorking(to, norths);
  if (up === null || down === null) return null;
  return { degrees: normalised(bearing.degrees + up - down), north: to };
}
