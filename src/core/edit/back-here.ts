import type { Entry } from '../entries/entry';
import { stationName, type Solution } from '../survey/solution';
import { checked, type Command } from './command';

/** What comes before a leg that leaves from where one is, in a log that said another station. */
export const backHere = (solution: Solution): Entry[] =>
  solution.leaving === solution.current
    ? []
    : [{ kind: 'from', station: stationName(solution, solution.current) }];

/** One is where the next leg leaves from: the `from` line that said so becomes a `here` line. */
export const beThere: Command = (outing, models) => {
  const index = outing.entries.findLastIndex(({ kind }) => kind === 'from' || kind === 'leg');
  const before = outing.entries[index];
  if (before?.kind !== 'from') return checked(outing, models, []);
  return checked(outing, models, [
    { op: 'replace', index, before, after: { ...before, kind: 'here' } },
  ]);
};
