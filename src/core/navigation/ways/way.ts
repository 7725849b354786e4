import { fromEachNorth, shownBearing, type BearingFromEach } from '../../north/norths';
import { homeMeans } from '../../survey/home-means';
import type { Frame } from '../../survey/places';
import type { Solution } from '../../survey/solution';
import { nearestCompassPoint, type CompassPoint } from '../../units/angle';
import type { North } from '../../units/bearing';
import { azimuthOf, lengthOf, type PlanePoint } from '../../units/plane';
import type { Metres } from '../../units/units';

/** A straight stretch to walk. */
export interface Way {
  readonly distanceMetres: Metres;
  /** Null when no pace length is known; and where the distance is in paces itself. */
  readonly paces: number | null;
  readonly bearing: BearingFromEach;
}

/** The way along a vector. At no distance the bearing is 0 and means nothing. */
export function wayAlong(frame: Frame, vector: PlanePoint, paceMetres: Metres | null): Way {
  const bearing = { degrees: azimuthOf(vector), north: frame.north };
  const distanceMetres = lengthOf(vector);
  return {
    distanceMetres,
    // In paces already: said once.
    paces: paceMetres === null || frame.unit === 'pace' ? null : distanceMetres / paceMetres,
    bearing: fromEachNorth(bearing, frame.norths),
  };
}

/**
 * The way along a vector on the earth, in metres, by the compass and the paces of the walk home. An
 * outing that is worked in paces tells none of these.
 */
export function wayOnEarth({ places: { frame }, end }: Solution, vector: PlanePoint): Way {
  const pace = frame.unit === 'pace' ? null : homeMeans(end).paceMetres;
  return wayAlong({ ...frame, unit: 'metre' }, vector, pace);
}

/** The straight way between two stations, in paces of the walk home. */
export const way = ({ places, end }: Solution, from: number, to: number): Way =>
  wayAlong(places.frame, places.relative(from, to), homeMeans(end).paceMetres);

/** The straight way home from where the traveller is. */
export const wayHome = (solution: Solution): Way => way(solution, solution.current, 0);

/** The compass point of a way, one of eight: of the bearing that is shown, from the same north. */
export const wayPoint = ({ bearing }: Way, wanted: North): CompassPoint =>
  nearestCompassPoint(shownBearing(bearing, wanted).degrees);

/** Nearer than this one is there: within a stride, and below what any log tells. */
const THERE_METRES = 1;
export const isThere = ({ distanceMetres }: Way): boolean => distanceMetres < THERE_METRES;
