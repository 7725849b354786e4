import type { Outing } from '../model/outing';
import { compassNorth } from '../north/outing-norths';
import { ENTRIES, type Entry } from '../entries/entry';
import type { InForce } from '../entries/reckoning';

/** What holds at the top of a log. */
export const inForceAtTop = (header: Parameters<typeof compassNorth>[0]): InForce => ({
  readingNorth: compassNorth(header),
  aim: 'landmark',
  compass: '',
});

/** What holds after a line. */
export const inForceAfter = (before: InForce, entry: Entry): InForce => ({
  ...before,
  ...ENTRIES.setBy(entry),
});

/** What holds for a line of an outing, by the lines before it; without an index, for the next. */
export const inForceAt = (outing: Outing, index?: number): InForce =>
  outing.entries.slice(0, index).reduce(inForceAfter, inForceAtTop(outing));
