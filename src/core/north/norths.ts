import { normalised, signedDifference } from '../units/angle';
import type { Bearing, North } from '../units/bearing';
import type { Degrees } from '../units/units';

/**
 * | symbol | meaning                                          | unit    | equation                |
 * | D      | declination: from true to magnetic north, east + | degrees | true = magnetic + D     |
 * | C      | convergence: from true to grid north, east +     | degrees | true = grid + C         |
 * | G      | grid-magnetic angle, D - C                       | degrees | grid = magnetic + G     |
 *
 * The angles between the norths. Without a declination only magnetic bearings can be used.
 */
export interface Norths {
  readonly declinationEast: Degrees | null;
  readonly convergenceEast: Degrees;
  /** The map's meridians are magnetic: grid and magnetic bearings are the same. */
  readonly gridIsMagnetic?: boolean;
  /**
   * The declination is ignored between map and compass: what was read from a map was walked by the
   * compass as it stands. Places on the earth and bearings from the other norths still use it.
   */
  readonly mapReadAsMagnetic?: boolean;
}

/** The north of the plane's coordinates: true where the declination is known, else magnetic. */
export const referenceNorth = (norths: Norths): North =>
  norths.declinationEast === null ? 'magnetic' : 'true';

/** What to add to a bearing to get one from the reference north; null where it isn't known. */
export function towardReference(north: North, norths: Norths): Degrees | null {
  const magnetic = north === 'magnetic' || (north === 'grid' && norths.gridIsMagnetic === true);
  if (norths.declinationEast === null) return magnetic ? 0 : null;
  if (magnetic) return norths.declinationEast;
  return north === 'grid' ? norths.convergenceEast : 0;
}

/** The north that a reading counts as: magnetic, whatever its letter, where that is ignored. */
const countedNorth = (north: North, norths: Norths): North =>
  norths.mapReadAsMagnetic ? 'magnetic' : north;

/** What to add to a reading to get a bearing from the reference north; null where unknown. */
export const readingOffset = (north: North, norths: Norths): Degrees | null =>
  towardReference(countedNorth(north, norths), norths);

/** A reading as a bearing from a north; null where the declination it takes isn't known. */
export const convertedReading = ({ degrees, north }: Bearing, to: North, norths: Norths) =>
  converted({ degrees, north: countedNorth(north, norths) }, to, norths);

/** How far east of one north another lies; null where it isn't known. */
export function northEastOf(north: North, other: North, norths: Norths): Degrees | null {
  const [here, there] = [towardReference(north, norths), towardReference(other, norths)];
  return here === null || there === null ? null : signedDifference(here, there);
}

/** The same direction from another north; null where the declination it takes isn't known. */
export function converted(bearing: Bearing, to: North, norths: Norths): Bearing | null {
  if (bearing.north === to) return { degrees: normalised(bearing.degrees), north: to };
  const up = towardReference(bearing.north, norths);
  const down = towardReference(to, norths);
  if (up === null || down === null) return null;
  return { degrees: normalised(bearing.degrees + up - down), north: to };
}

/** A bearing from each north; null from those that aren't known. */
export type BearingFromEach = Readonly<Record<North, Degrees | null>>;

export const fromEachNorth = (bearing: Bearing, norths: Norths): BearingFromEach => ({
  magnetic: converted(bearing, 'magnetic', norths)?.degrees ?? null,
  true: converted(bearing, 'true', norths)?.degrees ?? null,
  grid: converted(bearing, 'grid', norths)?.degrees ?? null,
});

/** The north that ways are shown in: the compass's own where the declination is ignored. */
export const shownNorth = (wanted: North, norths: Norths): North => countedNorth(wanted, norths);

/** The bearing in the north that is wanted, or the magnetic one where that isn't known. */
export function shownBearing(bearing: BearingFromEach, wanted: North): Bearing {
  const north = bearing[wanted] === null ? 'magnetic' : wanted;
  return { degrees: bearing[north] ?? 0, north };
}
