import * as z from 'zod/mini';
import { bearingReading, writeBearing } from '../../readings/bearing';
import { openObject, optionalNote } from '../../readings/shape';
import { clockTime } from '../../readings/time';
import { bearingWords } from '../describe';
import { entryKind, withNote } from '../entry-kind';

const schema = openObject({
  kind: z.literal('out'),
  bearing: bearingReading,
  time: z.optional(clockTime),
  note: optionalNote,
});

/** `out BEARING [@HH:MM]`: a step off a path with no distance yet; home is its back bearing. */
export const outKind = entryKind(schema)({
  keyword: 'out',
  takesWholeLine: false,
  read(cursor, note, { north }) {
    const column = cursor.position;
    const bearing = cursor.bearing(north);
    const time = cursor.takeAfterSpace(/@\s*/y) ? { time: cursor.time() } : {};
    cursor.finish();
    return {
      entry: { kind: 'out', bearing, ...time, ...withNote(note) },
      columns: { bearing: column, whole: column },
    };
  },
  write: ({ bearing, time }, north) =>
    `out ${writeBearing(bearing, north)}${time === undefined ? '' : ` @${time}`}`,
  describe: ({ bearing, time }) =>
    `Stepped off at ${bearingWords(bearing)}${time ? ` at ${time}` : ''}`,
  attachesTo: null,
  station: null,
  apply: ({ bearing }, reckoning) => reckoning.needsNorth(bearing, 'bearing'),
});
