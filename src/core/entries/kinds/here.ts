import * as z from 'zod/mini';
import { stationName, writeStationName } from '../../readings/name';
import { openObject, optionalNote } from '../../readings/shape';
import { entryKind, withNote } from '../entry-kind';

const schema = openObject({ kind: z.literal('here'), station: stationName, note: optionalNote });

/** `here STATION`: one is there now, by a way that nobody counted; the next leg leaves from it. */
export const hereKind = entryKind(schema)({
  keyword: 'here',
  takesWholeLine: false,
  read(cursor, note) {
    const column = cursor.position;
    const station = cursor.stationName();
    return {
      entry: { kind: 'here', station, ...withNote(cursor.finishWithNote(note)) },
      columns: { station: column, whole: column },
    };
  },
  write: ({ station }) => `here ${writeStationName(station)}`,
  describe: ({ station }) => `At ${station}, not counted`,
  attachesTo: null,
  station: {
    get: ({ station }) => station,
    set: (entry, station) => ({ ...entry, station }),
  },
  apply: ({ station }, reckoning) => reckoning.beAt(station),
});
