import { METHODS } from '../../model/method';
import { readChoice } from '../../readings/choice';
import { withNote } from '../../entries/entry-kind';
import type { HeaderLine } from './header-line';

/** `adjust as-walked | compass-rule | least-squares`: how loops become places. */
export const adjustLine: HeaderLine = {
  keyword: 'adjust',
  once: 'adjust',
  takesWholeLine: false,
  read: (cursor, note) => ({
    adjust: { method: readChoice(cursor, METHODS, 'method'), ...withNote(note) },
  }),
  write: ({ adjust }) => (adjust ? { text: adjust.method, note: adjust.note } : null),
};
