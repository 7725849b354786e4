import * as z from 'zod/mini';
import { bearingReading, writeBearing } from '../../readings/bearing';
import { openObject, optionalNote } from '../../readings/shape';
import { clockTime } from '../../readings/time';
import { bearingWords } from '../describe';
import { entryKind, withNote } from '../entry-kind';

const schema = openObject({
  kind: z.literal('out'),
  bearing: bearingReading,
  /** Which way the path itself runs, either way along it. */
  path: z.optional(bearingReading),
  time: z.optional(clockTime),
  note: optionalNote,
});

/**
 * `out BEARING [path BEARING] [@HH:MM]`: a step off a path with no distance yet; home is its back
 * bearing. Which way the path runs says where to look when it is met.
 */
export const outKind = entryKind(schema)({
  keyword: 'out',
  takesWholeLine: false,
  read(cursor, note, { north }) {
    const column = cursor.position;
    const bearing = cursor.bearing(north);
    const path = cursor.takeAfterSpace(/path\s+/iy) ? { path: cursor.bearing(north) } : {};
    const time = cursor.takeAfterSpace(/@\s*/y) ? { time: cursor.time() } : {};
    cursor.finish();
    return {
      entry: { kind: 'out', bearing, ...path, ...time, ...withNote(note) },
      columns: { bearing: column, whole: column },
    };
  },
  write: ({ bearing, path, time }, north) =>
    [
      `out ${writeBearing(bearing, north)}`,
      path && `path ${writeBearing(path, north)}`,
      time === undefined ? '' : `@${time}`,
    ]
      .filter(Boolean)
      .join(' '),
  describe: ({ bearing, time }, units) =>
    `Stepped off at ${bearingWords(bearing, units)}${time ? ` at ${time}` : ''}`,
  attachesTo: null,
  station: null,
  apply: ({ bearing, path }, reckoning) =>
    reckoning.needsNorth(bearing, 'bearing') ?? (path ? reckoning.needsNorth(path, 'whole') : null),
});
