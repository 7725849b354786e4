import type { Entry, EntryOf } from '../../entries/entry';
import type { Walked } from '../../errors/means';
import { convertedReading } from '../../north/norths';
import { bearingDegrees, finenessDegrees } from '../../readings/bearing';
import type { Degrees } from '../../units/units';
import { initialState, isOffMap, type LogState } from '../log-state';
import type { Solution } from '../solution';

/** How a bearing that is read with these means comes about. */
export const sightedWith = (
  state: Readonly<LogState>,
  bearing: EntryOf<'see'>['bearing'],
): Walked => ({
  means: {
    aim: state.aim,
    compass: isOffMap(state, bearing) ? null : state.compass,
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
export const aimOfSight = ({ aim }: Readonly<LogState>): LogState['aim'] =>
  aim === 'sighted' ? aim : 'landmark';

/** A sighting as a direction from the frame's north; null where its north isn't known. */
export function sightDegrees(
  { places: { frame } }: Pick<Solution, 'places'>,
  bearing: EntryOf<'see'>['bearing'],
): Degrees | null {
  const read = { degrees: bearingDegrees(bearing), north: bearing.north };
  return convertedReading(read, frame.north, frame.norths)?.degrees ?? null;
}

/** What the lines of a log set for its sightings, followed along with it. */
export function sightingMeans({ places }: Solution) {
  const state = initialState(places.frame.norths);
  const follow = (entry: Entry) => {
    if (entry.kind === 'aim') state.aim = entry.aim;
    if (entry.kind === 'compass') state.compass = entry.name;
    if (entry.kind === 'read') state.readingNorth = entry.north;
  };
  return { state, follow };
}
