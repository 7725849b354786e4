import * as z from 'zod/mini';
import { stationName, writeStationName } from '../../../readings/name';
import { openObject, optionalNote } from '../../../readings/shape';
import { entryKind, setting, withNote } from '../../entry-kind';

const schema = openObject({
  kind: z.literal('compass'),
  name: stationName,
  note: optionalNote,
});

/** `compass NAME`: which compass is read, on the lines that follow. */
export const compassKind = entryKind(schema)({
  keyword: 'compass',
  takesWholeLine: false,
  read(cursor, note) {
    if (cursor.atEnd) return cursor.expected('compass-name');
    const name = cursor.stationName();
    cursor.finish();
    return { entry: { kind: 'compass', name, ...withNote(note) }, columns: {} };
  },
  write: ({ name }) => `compass ${writeStationName(name)}`,
  describe: ({ name }) => `Compass from here: ${name}`,
  ...setting(({ name }: z.infer<typeof schema>) => ({ compass: name })),
});
