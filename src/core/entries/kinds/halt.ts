import * as z from 'zod/mini';
import { openObject, optionalNote } from '../../readings/shape';
import { clockTime } from '../../readings/time';
import { ABOVE_ZERO } from '../../units/ranges';
import { MINUTES_PER_DAY, minutesOfDay } from '../../units/clock';
import { plainDecimal } from '../../units/units';
import { plural } from '../describe';
import { entryKind } from '../entry-kind';
import type { LineCursor } from '../line-cursor';

const schema = openObject({
  kind: z.literal('halt'),
  /** How long it lasted; or from when to when. */
  minutes: z.optional(z.number().check(z.gt(0), z.lte(MINUTES_PER_DAY))),
  from: z.optional(clockTime),
  until: z.optional(clockTime),
  note: optionalNote,
});
type Halt = z.infer<typeof schema>;

/** Minutes of a halt; one that goes on past midnight ends on the next day. */
export const haltMinutes = ({ minutes, from, until }: Omit<Halt, 'kind'>): number => {
  if (from === undefined || until === undefined) return minutes ?? 0;
  const lasted = minutesOfDay(until) - minutesOfDay(from);
  return lasted < 0 ? lasted + MINUTES_PER_DAY : lasted;
};

/**
 * `halt MINUTES` or `halt FROM-UNTIL`: nobody walked. Times, speeds and the light left leave it
 * out.
 */
export const haltKind = entryKind(schema)({
  keyword: 'halt',
  takesWholeLine: false,
  read(cursor, note) {
    const column = cursor.position;
    const when = readFromUntil(cursor) ?? { minutes: readMinutes(cursor, column) };
    const remark = cursor.finishWithNote(note);
    const entry: Halt = { kind: 'halt', ...when };
    if (remark !== undefined) entry.note = remark;
    return { entry, columns: { whole: column } };
  },
  write: ({ minutes, from, until }) =>
    from === undefined ? `halt ${plainDecimal(minutes ?? 0)}min` : `halt ${from}-${until}`,
  describe: (halt) =>
    halt.from === undefined
      ? `Halt of ${plural(haltMinutes(halt), 'minute', 'minutes')}`
      : `Halt from ${halt.from} to ${halt.until}`,
  attachesTo: 'station',
  station: null,
  apply: () => null,
});

/** A time of day with another to come; minutes may have decimals, too. */
const CLOCK_AHEAD = /@|\d{1,2}[:.h]?\d{2}\s*(?:[ap]\.?m\.?)?\s*(?:-|–|to\b|until\b)|\d{1,2}:\d/iy;
const TO = /\s*(?:-|–|to(?![a-z])|until(?![a-z]))\s*@?\s*/iy;

/** `11:20-11:45`, `@11:20 to 11:45`; null where no time of day stands. */
function readFromUntil(cursor: LineCursor): Pick<Halt, 'from' | 'until'> | null {
  cursor.take(/from\s+/iy);
  if (!cursor.sees(CLOCK_AHEAD)) return null;
  cursor.take(/@\s*/y);
  const from = cursor.time();
  if (!cursor.take(TO)) return cursor.expected('halt');
  return { from, until: cursor.time() };
}

const HOURS = /\s*(?:hours?|hrs?|h)(?![a-z])/iy;
const MINUTES = /\s*(?:minutes?|mins?)(?![a-z])\.?/iy;

/** `10min`, `10 minutes`, `1 h`, `1 h 30 min`. */
function readMinutes(cursor: LineCursor, column: number): number {
  const first = cursor.amount('halt');
  let minutes = first;
  if (cursor.take(HOURS)) {
    minutes = 60 * first;
    cursor.skipSpace();
    if (/\d/.test(cursor.next)) {
      minutes += cursor.amount('halt');
      if (!cursor.take(MINUTES)) return cursor.expected('halt');
    }
  } else if (!cursor.take(MINUTES)) {
    return cursor.expected('halt');
  }
  cursor.inRange(minutes, 'halt', ABOVE_ZERO, MINUTES_PER_DAY, column);
  return minutes;
}
