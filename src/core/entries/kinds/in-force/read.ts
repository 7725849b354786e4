import * as z from 'zod/mini';
import { northSchema } from '../../../readings/bearing';
import { openObject, optionalNote } from '../../../readings/shape';
import { NORTHS } from '../../../units/bearing';
import { NORTH_WORDS } from '../../describe';
import { entryKind, setting, withNote } from '../../entry-kind';

const schema = openObject({ kind: z.literal('read'), north: northSchema, note: optionalNote });

/** `read NORTH`: which north bearings without a letter are from, on the lines that follow. */
export const readKind = entryKind(schema)({
  keyword: 'read',
  takesWholeLine: false,
  read(cursor, note) {
    const north = cursor.choice(NORTHS, 'north');
    return { entry: { kind: 'read', north, ...withNote(note) }, columns: {} };
  },
  write: ({ north }) => `read ${north}`,
  describe: ({ north }) => `Bearings from here: ${NORTH_WORDS[north]}`,
  ...setting(({ north }: z.infer<typeof schema>) => ({ readingNorth: north })),
});
