import * as z from 'zod/mini';
import { compassPointSchema } from '../../readings/bearing';
import { openObject, optionalNote } from '../../readings/shape';
import { entryKind, withNote } from '../entry-kind';

const schema = openObject({
  kind: z.literal('expect'),
  wind: compassPointSchema,
  note: optionalNote,
});

/** `expect POINT`: roughly which way the next leg should go. */
export const expectKind = entryKind(schema)({
  keyword: 'expect',
  takesWholeLine: false,
  read(cursor, note) {
    const column = cursor.position;
    const wind = cursor.compassPoint();
    if (!wind) return cursor.expected('compass-point', undefined, column);
    cursor.finish();
    return { entry: { kind: 'expect', wind, ...withNote(note) }, columns: {} };
  },
  write: ({ wind }) => `expect ${wind}`,
  describe: ({ wind }) => `The next leg should go roughly ${wind}`,
  attachesTo: null,
  station: null,
  apply: () => null,
});
