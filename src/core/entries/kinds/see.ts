import * as z from 'zod/mini';
import { bearingReading, writeBearing } from '../../readings/bearing';
import { optionalFeatureKind, writeFeatureKind } from '../feature';
import { stationName, writeStationName } from '../../readings/name';
import { noteText, openObject } from '../../readings/shape';
import { bearingWords } from '../describe';
import { entryKind } from '../entry-kind';

const schema = openObject({
  kind: z.literal('see'),
  bearing: bearingReading,
  /** The bearing was read at the landmark, towards here. */
  back: z.optional(z.literal(true)),
  thing: optionalFeatureKind,
  /** The station where it was read, if that is not where one is. */
  from: z.optional(stationName),
  what: noteText,
});

const BACK = /back(?![a-z])/iy;
const FROM = /from\s+/iy;

/**
 * `see BEARING [back] [KIND] [from STATION] ; what`: a sighting of a landmark from the current
 * station, or from an earlier one: where one is stays. With `back` it was read at the landmark.
 */
export const seeKind = entryKind(schema)({
  keyword: 'see',
  takesWholeLine: false,
  read(cursor, note, { north }) {
    const column = cursor.position;
    const bearing = cursor.bearing(north);
    const back = cursor.takeAfterSpace(BACK) ? { back: true as const } : {};
    const kind = cursor.featureKind();
    const isElsewhere = cursor.takeAfterSpace(FROM) !== null;
    const station = cursor.position;
    const from = isElsewhere ? { from: cursor.stationName() } : {};
    const what = cursor.whatSeen(note, kind.thing);
    return {
      entry: { kind: 'see', bearing, ...back, ...kind, ...from, what },
      columns: { bearing: column, station, whole: column },
    };
  },
  write(entry, north) {
    const back = entry.back ? ' back' : '';
    const bearing = writeBearing(entry.bearing, north);
    const from = entry.from === undefined ? '' : ` from ${writeStationName(entry.from)}`;
    return `  see ${bearing}${back}${writeFeatureKind(entry)}${from} ; ${entry.what}`;
  },
  describe: ({ bearing, back, from, what }, units) =>
    back
      ? `${from ?? 'This place'} from ${what}, at ${bearingWords(bearing, units)}`
      : `Sighted from ${from ?? 'here'} at ${bearingWords(bearing, units)}: ${what}`,
  attachesTo: 'station',
  station: {
    get: ({ from }) => from,
    set: (entry, from) => ({ ...entry, from }),
  },
  apply: ({ bearing, from }, reckoning) =>
    reckoning.needsNorth(bearing, 'bearing') ??
    (from === undefined ? null : reckoning.needsStation(from)),
});
