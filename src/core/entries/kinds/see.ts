import * as z from 'zod/mini';
import { bearingReading, writeBearing } from '../../readings/bearing';
import { optionalFeatureKind, readFeatureKind, writeFeatureKind } from '../feature';
import { readBearing } from '../../readings/read-bearing';
import { noteText, openObject } from '../../readings/shape';
import { bearingWords } from '../describe';
import { entryKind } from '../entry-kind';
import { whatSeen } from '../trailing-note';

const schema = openObject({
  kind: z.literal('see'),
  bearing: bearingReading,
  thing: optionalFeatureKind,
  what: noteText,
});

/** `see BEARING [KIND] ; what`: a sighting of a landmark from the current station. */
export const seeKind = entryKind(schema)({
  keyword: 'see',
  takesWholeLine: false,
  read(cursor, note, { north }) {
    const column = cursor.position;
    const bearing = readBearing(cursor, north);
    const kind = readFeatureKind(cursor);
    return {
      entry: { kind: 'see', bearing, ...kind, what: whatSeen(cursor, note, kind.thing) },
      columns: { bearing: column, whole: column },
    };
  },
  write: (entry, north) =>
    `  see ${writeBearing(entry.bearing, north)}${writeFeatureKind(entry)} ; ${entry.what}`,
  describe: ({ bearing, what }) => `Sighted from here at ${bearingWords(bearing)}: ${what}`,
  attachesTo: 'station',
  station: null,
  apply: ({ bearing }, reckoning) => reckoning.needsNorth(bearing, 'bearing'),
});
