import { withNote } from '../../entries/entry-kind';
import { finishWithNote } from '../../entries/trailing-note';
import { readDay } from '../../readings/texts/read-day';
import { readTime } from '../../readings/texts/read-time';
import type { HeaderLine } from './header-line';

const BEFORE_TIME = /\s*(?:,|@|T|at)?\s*(?=\d)/iy;

/** `date YYYY-MM-DD [HH:MM]`, on the clock of the place. */
export const dateLine: HeaderLine = {
  keyword: 'date',
  once: 'date',
  takesWholeLine: false,
  read(cursor, note) {
    const day = readDay(cursor);
    cursor.take(BEFORE_TIME);
    const time = cursor.sees(/\d/y) ? { time: readTime(cursor) } : {};
    return { date: { day, ...time, ...withNote(finishWithNote(cursor, note)) } };
  },
  write({ date }) {
    if (!date) return null;
    return { text: [date.day, date.time].filter(Boolean).join(' '), note: date.note };
  },
};
