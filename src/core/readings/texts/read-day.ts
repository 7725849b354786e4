import { isCalendarDay } from '../calendar';
import type { Cursor } from '../cursor';

const MONTHS = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ');
const MONTH_NAME = new RegExp(
  String.raw`(jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|` +
    String.raw`sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)(?![a-z])\.?`,
  'iy',
);

/** A month by its name, from 1; undefined, and nothing taken, where there is none. */
export function readMonth(cursor: Cursor): number | undefined {
  const name = cursor.take(MONTH_NAME)?.[1];
  return name === undefined ? undefined : MONTHS.indexOf(name.slice(0, 3).toLowerCase()) + 1;
}

const ISO = /(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?!\d)/y;
const EITHER_FIRST = /(\d{1,2})([-/.])(\d{1,2})\2(\d{4})(?!\d)/y;
const DAY_OF_MONTH = /(\d{1,2})(?:st|nd|rd|th)?\s*(?:of\s+)?(?=[a-z])/iy;
const DAY_AFTER_MONTH = /\s*(\d{1,2})(?:st|nd|rd|th)?,?\s+(?=\d{4})/iy;
const YEAR = /,?\s*(\d{4})(?!\d)/y;

const isoDay = (year: string, month: number | string, day: string) =>
  `${year}-${String(month).padStart(2, '0')}-${day.padStart(2, '0')}`;

/**
 * A day: `2026-08-14`, `2026-8-14`, `14 August 2026`, `Aug 14, 2026`. `05/08/2026` is asked back:
 * the day or the month may come first.
 */
export function readDay(cursor: Cursor): string {
  const start = cursor.position;
  const iso = cursor.take(ISO);
  const day = iso ? isoDay(iso[1] ?? '', iso[2] ?? '', iso[3] ?? '') : readOtherDay(cursor, start);
  return isCalendarDay(day) ? day : cursor.expected('date', undefined, start);
}

function readOtherDay(cursor: Cursor, start: number): string {
  const either = cursor.take(EITHER_FIRST);
  if (either) {
    const [, one = '', , other = '', year = ''] = either;
    const readings = [isoDay(year, other, one), isoDay(year, one, other)].filter(isCalendarDay);
    cursor.refuse({ code: 'day-or-month', readings: [...new Set(readings)] }, start);
  }
  const dayFirst = cursor.take(DAY_OF_MONTH)?.[1];
  const month = readMonth(cursor);
  const day = dayFirst ?? cursor.take(DAY_AFTER_MONTH)?.[1];
  const year = cursor.take(YEAR)?.[1];
  if (month === undefined || day === undefined || year === undefined) {
    return cursor.expected('date', undefined, start);
  }
  return isoDay(year, month, day);
}
