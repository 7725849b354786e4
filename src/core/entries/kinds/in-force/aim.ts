import * as z from 'zod/mini';
import { openObject, optionalNote } from '../../../readings/shape';
import { entryKind, setting, withNote } from '../../entry-kind';
import { AIMS, type Aim } from '../../reckoning';

export const AIM_WORDS: Readonly<Record<Aim, string>> = {
  needle: 'you follow the compass alone',
  landmark: 'you walk from landmark to landmark',
  sighted: 'you use a sighting compass',
};

const schema = openObject({ kind: z.literal('aim'), aim: z.enum(AIMS), note: optionalNote });

/** `aim needle | landmark | sighted`: how bearings are followed, on the lines that follow. */
export const aimKind = entryKind(schema)({
  keyword: 'aim',
  takesWholeLine: false,
  read(cursor, note) {
    const aim = cursor.choice(AIMS, 'aim');
    return { entry: { kind: 'aim', aim, ...withNote(note) }, columns: {} };
  },
  write: ({ aim }) => `aim ${aim}`,
  describe: ({ aim }) => `From here ${AIM_WORDS[aim]}`,
  ...setting(({ aim }: z.infer<typeof schema>) => ({ aim })),
});
