import { headerOf, isStartName, isStationName } from '../logbook';
import { fail } from '../result';
import { solve } from '../solve';
import { checked, type Command } from './command';
import type { Operation } from './operations';
import { refersTo, relinked, replacements, rowsOf } from './relinking';

/** Gives a station another name, wherever it is spoken of. */
export const renameStation =
  (oldName: string, newName: string): Command =>
  (outing, models) => {
    const solved = solve(outing, models);
    if (!solved.ok) return solved;
    const { stations, entryOfLeg, traverse } = solved.value;
    const point = stations.find(oldName, traverse.legs);
    if (point === undefined) return fail({ code: 'unknown-station', name: oldName });
    const valid = point === 0 ? isStartName(newName) : isStationName(newName);
    if (!valid) return fail({ code: 'bad-name', name: newName });
    const taken = stations.find(newName, traverse.legs);
    if (taken !== undefined && taken !== point) return fail({ code: 'name-taken', name: newName });

    const made = point === 0 ? -1 : entryOfLeg[point]!;
    const rows = rowsOf(outing).map((row) =>
      row.was === made ? { ...row, entry: refersTo(row.entry, newName) } : row,
    );
    const startName = point === 0 ? newName : outing.start.name;
    const linked = relinked(outing, models, startName, rows);
    if (!linked.ok) return linked;
    const before = headerOf(outing);
    const header: Operation[] =
      point === 0
        ? [
            {
              op: 'header',
              before,
              after: { ...before, start: { ...before.start, name: newName } },
            },
          ]
        : [];
    return checked(outing, models, [...header, ...replacements(linked.value, outing.entries)]);
  };
