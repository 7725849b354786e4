import * as z from 'zod/mini';
import { openObject, optionalNote } from '../../readings/shape';
import { entryKind, withNote } from '../entry-kind';

const schema = openObject({
  kind: z.literal('right'),
  code: z.string().check(z.regex(/^[a-z][a-z-]{1,60}$/)),
  note: optionalNote,
});

/** `right CODE`: a warning on the line before (or on the header) was looked at and accepted. */
export const rightKind = entryKind(schema)({
  keyword: 'right',
  takesWholeLine: false,
  read(cursor, note) {
    const code = cursor.take(/[a-z][a-z-]{1,60}(?![a-z-])/y)?.[0];
    if (code === undefined) return cursor.expected('code');
    cursor.finish();
    return { entry: { kind: 'right', code, ...withNote(note) }, columns: {} };
  },
  write: ({ code }) => `  right ${code}`,
  describe: () => 'Warning accepted: the reading is right',
  attachesTo: 'line',
  station: null,
  apply: () => null,
});
