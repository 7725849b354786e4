import { walkLog } from './log-walk';
import type { Solution } from './solution';

/** How stations are marked, by their number: what one will see on coming back to each. */
export function stationMarks(solution: Solution): ReadonlyMap<number, string> {
  const marks = new Map<number, string>();
  const isMarked = solution.outing.entries.some(({ kind }) => kind === 'mark');
  if (!isMarked) return marks;
  for (const { entry, station } of walkLog(solution)) {
    if (entry.kind !== 'mark') continue;
    const before = marks.get(station);
    marks.set(station, before === undefined ? entry.what : `${before}; ${entry.what}`);
  }
  return marks;
}
