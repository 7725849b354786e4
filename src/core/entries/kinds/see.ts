import * as z from 'zod/mini';
import { bearingReading, writeBearing } from '../../readings/bearing';
import { optionalFeatureKind, writeFeatureKind } from '../feature';
import { noteText, openObject } from '../../readings/shape';
import { bearingWords } from '../describe';
import { entryKind } from '../entry-kind';

const schema = openObject({
  kind: z.literal('see'),
  bearing: bearingReading,
  /** The bearing was read at the landmark, towards here. */
  back: z.optional(z.literal(true)),
  thing: optionalFeatureKind,
  what: noteText,
});

const BACK = /back(?![a-z])/iy;

/**
 * `see BEARING [back] [KIND] ; what`: a sighting of a landmark from the current station, or, with
 * `back`, one that was read at the landmark.
 */
export const seeKind = entryKind(schema)({
  keyword: 'see',
  takesWholeLine: false,
  read(cursor, note, { north }) {
    const column = cursor.position;
    const bearing = cursor.bearing(north);
    const back = cursor.takeAfterSpace(BACK) ? { back: true as const } : {};
    const kind = cursor.featureKind();
    return {
      entry: { kind: 'see', bearing, ...back, ...kind, what: cursor.whatSeen(note, kind.thing) },
      columns: { bearing: column, whole: column },
    };
  },
  write(entry, north) {
    const back = entry.back ? ' back' : '';
    const bearing = writeBearing(entry.bearing, north);
    return `  see ${bearing}${back}${writeFeatureKind(entry)} ; ${entry.what}`;
  },
  describe: ({ bearing, back, what }) =>
    back
      ? `This place from ${what}, at ${bearingWords(bearing)}`
      : `Sighted from here at ${bearingWords(bearing)}: ${what}`,
  attachesTo: 'station',
  station: null,
  apply: ({ bearing }, reckoning) => reckoning.needsNorth(bearing, 'bearing'),
});
