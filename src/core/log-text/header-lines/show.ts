import { withNote } from '../../entries/entry-kind';
import { readChoice } from '../../readings/choice';
import { NORTHS } from '../../units/bearing';
import type { HeaderLine } from './header-line';

/** `show NORTH`: the north that the way home is given in. */
export const showLine: HeaderLine = {
  keyword: 'show',
  once: 'show',
  takesWholeLine: false,
  read: (cursor, note) => ({
    show: { north: readChoice(cursor, NORTHS, 'north'), ...withNote(note) },
  }),
  write: ({ show: { north, note } }) =>
    north === 'magnetic' && !note ? null : { text: north, note },
};
