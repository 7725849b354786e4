import { readName } from '../../readings/texts/read-name';
import type { HeaderLine } from './header-line';

/** `by NAME`, to the end of the line: whose outing it is. */
export const byLine: HeaderLine = {
  keyword: 'by',
  once: 'by',
  takesWholeLine: true,
  read(cursor) {
    if (cursor.atEnd) cursor.expected('person-name');
    return { by: readName(cursor) };
  },
  write: ({ by }) => (by === undefined ? null : { text: by }),
};
