import * as z from 'zod/mini';
import { LONGEST_NOTE, noteText, openObject } from '../../readings/shape';
import { entryKind } from '../entry-kind';

const schema = openObject({ kind: z.literal('remark'), text: noteText });

/** `; TEXT`: a remark on a line of its own, before any leg or after one. It changes nothing. */
export const remarkKind = entryKind(schema)({
  keyword: ';',
  takesWholeLine: true,
  read(cursor) {
    const column = cursor.position;
    const text = cursor.rest();
    if (text === '') return cursor.expected('remark');
    if (text.length > LONGEST_NOTE) {
      const found = text.slice(0, 20);
      cursor.refuse({ code: 'too-long', what: 'note', most: LONGEST_NOTE, found }, column);
    }
    return { entry: { kind: 'remark', text }, columns: {} };
  },
  write: ({ text }) => `; ${text}`,
  describe: ({ text }) => `Remark: ${text}`,
  attachesTo: 'station',
  station: null,
  apply: () => null,
});
