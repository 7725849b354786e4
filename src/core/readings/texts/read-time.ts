import type { Cursor } from '../cursor';

const CLOCK = /(\d{1,2})(?:\s?[:.h]\s?(\d{2})|(\d{2}))(?!\d|[:.]\d)/iy;
const HALF_OF_DAY = /\s?([ap])\.?m\.?(?![a-z])/iy;

/** A time of day, 00:00 to 23:59: `10:42`, `9.48`, `0948`, `10h42`, `2:10pm`. */
export function readTime(cursor: Cursor): string {
  const start = cursor.position;
  const [, hoursText = '', apart = '', glued = ''] = cursor.take(CLOCK) ?? [];
  const half = cursor.take(HALF_OF_DAY)?.[1]?.toLowerCase();
  const minutes = apart || glued;
  const hours = hoursOfDay(Number(hoursText), half);
  if (hoursText === '' || hours === null || Number(minutes) > 59) {
    return cursor.expected('time', undefined, start);
  }
  return `${String(hours).padStart(2, '0')}:${minutes}`;
}

/** The hour from 0 to 23, from one on a clock of twelve where `half` is a or p; null for none. */
function hoursOfDay(hours: number, half: string | undefined): number | null {
  if (half === undefined) return hours > 23 ? null : hours;
  if (hours < 1 || hours > 12) return null;
  return (hours % 12) + (half === 'p' ? 12 : 0);
}
