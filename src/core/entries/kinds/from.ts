import * as z from 'zod/mini';
import { stationName, writeStationName } from '../../readings/name';
import { openObject, optionalNote } from '../../readings/shape';
import { entryKind, withNote } from '../entry-kind';

const schema = openObject({ kind: z.literal('from'), station: stationName, note: optionalNote });

/** `from STATION`: the next leg leaves from there. */
export const fromKind = entryKind(schema)({
  keyword: 'from',
  takesWholeLine: false,
  read(cursor, note) {
    const column = cursor.position;
    const station = cursor.stationName();
    return {
      entry: { kind: 'from', station, ...withNote(cursor.finishWithNote(note)) },
      columns: { station: column, whole: column },
    };
  },
  write: ({ station }) => `from ${writeStationName(station)}`,
  describe: ({ station }) => `Next leg starts at ${station}`,
  attachesTo: null,
  station: {
    get: ({ station }) => station,
    set: (entry, station) => ({ ...entry, station }),
  },
  apply: ({ station }, reckoning) => reckoning.leaveFrom(station),
});
