import { withNote } from '../../entries/entry-kind';
import { readChoice } from '../../readings/choice';
import { compassNorth } from '../../north/outing-norths';
import { NORTHS } from '../../units/bearing';
import type { HeaderLine } from './header-line';

/** `show NORTH`: the north that the way home is given in; without it the compass's own. */
export const showLine: HeaderLine = {
  keyword: 'show',
  once: 'show',
  takesWholeLine: false,
  read: (cursor, note) => ({
    show: { north: readChoice(cursor, NORTHS, 'north'), ...withNote(note) },
  }),
  write: ({ show: { north, note }, ...header }) =>
    north === compassNorth(header) && !note ? null : { text: north, note },
};
