import { readName } from '../../readings/texts/read-name';
import type { HeaderLine } from './header-line';

/** `outing NAME`, to the end of the line. */
export const outingLine: HeaderLine = {
  keyword: 'outing',
  once: 'outing',
  takesWholeLine: true,
  read(cursor) {
    if (cursor.atEnd) cursor.expected('outing-name');
    return { name: readName(cursor) };
  },
  write: ({ name }) => (name === '' ? null : { text: name }),
};
