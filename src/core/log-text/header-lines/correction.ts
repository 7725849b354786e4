import { withNote } from '../../entries/entry-kind';
import { CORRECTIONS } from '../../model/header';
import { readChoice } from '../../readings/choice';
import type { HeaderLine } from './header-line';

/** `correction HOW`: the declination method. */
export const correctionLine: HeaderLine = {
  keyword: 'correction',
  once: 'correction',
  takesWholeLine: false,
  read: (cursor, note) => ({
    correction: { how: readChoice(cursor, CORRECTIONS, 'correction'), ...withNote(note) },
  }),
  write: ({ correction }) => (correction ? { text: correction.how, note: correction.note } : null),
};
