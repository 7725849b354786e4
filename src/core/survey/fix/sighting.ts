import type { EntryOf } from '../../entries/entry';
import type { Aim, InForce } from '../../entries/reckoning';
import type { Walked } from '../../errors/means';
import { convertedReading } from '../../north/norths';
import type { OutingNorths } from '../../north/outing-norths';
import { bearingDegrees, finenessDegrees } from '../../readings/bearing';
import type { Degrees } from '../../units/units';
import { isOffMap } from '../log-state';
import type { Solution } from '../solution';

/** How a sighting comes about that is read with these means. */
export const sightedWith = (
  inForce: InForce,
  bearing: EntryOf<'see'>['bearing'],
  { mapReadAsMagnetic = false }: OutingNorths,
): Walked => ({
  means: {
    aim: aimOfSight(inForce),
    compass: isOffMap({ ...inForce, mapByCompass: mapReadAsMagnetic }, bearing)
      ? null
      : inForce.compass,
    distance: 'measured',
    pace: null,
  },
  finenessDegrees: finenessDegrees(bearing),
  slopeTangent: 0,
  ironDegrees: 0,
  isAbout: false,
});

/**
 * How a sighting is aimed: at what is sighted, whatever the legs are walked by. It is as good as a
 * bearing to a mark, or that of a sighting compass.
 */
export const aimOfSight = ({ aim }: Pick<InForce, 'aim'>): Aim =>
  aim === 'sighted' ? aim : 'landmark';

/** A sighting as a direction from the frame's north; null where its north isn't known. */
export function sightDegrees(
  { places: { frame } }: Pick<Solution, 'places'>,
  bearing: EntryOf<'see'>['bearing'],
): Degrees | null {
  const read = { degrees: bearingDegrees(bearing), north: bearing.north };
  return convertedReading(read, frame.north, frame.norths)?.degrees ?? null;
}
