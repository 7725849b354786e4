import * as z from 'zod/mini';
import { isOneLine, LONGEST_NOTE, noteText, ONE_LINE, openObject } from '../../readings/shape';
import { entryKind } from '../entry-kind';

const LONGEST_LINE = 5000;
const STRUCK = new RegExp(
  String.raw`(\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(?:\.\d{1,9})?(?:Z|[+-]\d{2}:\d{2}))` +
    // Not a dot: it would end at a line separator (U+2028), which a line of text may hold.
    String.raw`\s*\|([^|]*)\|\s*(\S[^]*)`,
  'y',
);

const schema = openObject({
  kind: z.literal('struck'),
  at: z.iso.datetime({ offset: true }),
  reason: z.optional(noteText.check(z.refine((text) => !text.includes('|'), 'a reason without |'))),
  was: z.string().check(z.minLength(1), z.maxLength(LONGEST_LINE), z.refine(isOneLine, ONE_LINE)),
});

/** `struck TIME | REASON | LINE`: a line that was struck out. It counts for nothing. */
export const struckKind = entryKind(schema)({
  keyword: 'struck',
  takesWholeLine: true,
  read(cursor) {
    const column = cursor.position;
    const [, at = '', why = '', line = ''] = cursor.take(STRUCK) ?? [];
    const was = line.trim();
    if (Number.isNaN(Date.parse(at)) || was.length > LONGEST_LINE) {
      return cursor.expected('struck', undefined, column);
    }
    const reason = why.trim().slice(0, LONGEST_NOTE);
    const given = reason === '' ? {} : { reason };
    return { entry: { kind: 'struck', at, ...given, was }, columns: {} };
  },
  write: ({ at, reason, was }) => `  struck ${at} | ${reason ?? ''} | ${was}`,
  describe: ({ was }) => `Struck out: ${was}`,
  attachesTo: 'line',
  station: null,
  apply: () => null,
});
