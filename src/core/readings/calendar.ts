import * as z from 'zod/mini';

/** The first and last years of the calendar that logs may name. */
export const FIRST_YEAR = 1600;
export const LAST_YEAR = 2500;

/** True for a day of the calendar as YYYY-MM-DD (Gregorian, years 1600 to 2500). */
export function isCalendarDay(text: string): boolean {
  const found = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text);
  if (!found) return false;
  const [year, month, day] = [Number(found[1]), Number(found[2]), Number(found[3])];
  const days = new Date(Date.UTC(year, month, 0)).getUTCDate();
  const known = year >= FIRST_YEAR && year <= LAST_YEAR && month >= 1 && month <= 12;
  return known && day >= 1 && day <= days;
}
export const calendarDay = z.string().check(z.refine(isCalendarDay, 'a day as YYYY-MM-DD'));
