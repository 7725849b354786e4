import { referenceNorth, convertedReading } from '../../north/norths';
import type { OutingNorths } from '../../north/outing-norths';
import { bearingDegrees, finenessDegrees, type BearingReading } from '../../readings/bearing';
import { isCount, metresAlong, type DistanceReading } from '../../readings/distance';
import { meansOf, paceOn, type LogState } from '../log-state';
import { aimOfSight } from './sighting';
import type { KnownMark, Sight } from './sights';

/** What was read of a known place where the traveller is: a bearing, a distance, or both. */
export interface ReadSight {
  readonly mark: KnownMark;
  readonly bearing: BearingReading | null;
  /** True where the bearing was read at the mark. */
  readonly back: boolean;
  readonly distance: DistanceReading | null;
}

/** A length of which nothing else is known. */
const NO_DISTANCE: DistanceReading = { unit: 'metres', value: 0 };
const NO_BEARING: BearingReading = { unit: 'degrees', value: 0, north: 'magnetic' };

/**
 * A sight by the compass and the paces of a log's end. Null where the north of the bearing, or the
 * length of a pace, is not known.
 */
export function readSight(
  { mark, bearing, back, distance }: ReadSight,
  state: Readonly<LogState>,
  norths: OutingNorths,
): Sight | null {
  // A map is in metres: paces without a length are none on it.
  if (distance && isCount(distance) && state.unit === 'pace') return null;
  const pace = paceOn(state, undefined);
  const metres = distance && metresAlong(distance, pace.paceLength);
  if (metres !== null && !(metres > 0)) return null;
  const read = bearing && { degrees: bearingDegrees(bearing), north: bearing.north };
  const direction = read && convertedReading(read, referenceNorth(norths), norths);
  if (bearing && !direction) return null;
  const aimed = { ...state, aim: aimOfSight(state) };
  const means = meansOf(aimed, bearing ?? NO_BEARING, distance ?? NO_DISTANCE, pace);
  return {
    mark,
    station: null,
    bearingDegrees: direction?.degrees ?? null,
    back,
    metres,
    walked: {
      means,
      finenessDegrees: finenessDegrees(bearing ?? NO_BEARING),
      slopeTangent: 0,
      ironDegrees: 0,
      isAbout: distance?.about === true,
    },
  };
}
