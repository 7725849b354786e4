import { headerOf, type Outing } from '../model/outing';
import { isStartName, isStationName } from '../readings/name';
import { solveAsWalked } from '../survey/solve';
import { stationNamed } from '../survey/solution';
import { fail } from '../units/result';
import { checked, type Command } from './command';
import type { Operation } from './operations';
import { relinked, replacements, rowsOf, START, withReference } from './relinking';

/** Gives a station another name, wherever it is named. */
export const renameStation =
  (oldName: string, newName: string): Command =>
  (outing, models) => {
    const solved = solveAsWalked(outing, models);
    if (!solved.ok) return solved;
    const station = stationNamed(solved.value, oldName);
    if (station === undefined) return fail({ code: 'unknown-station', name: oldName, among: [] });
    const isStart = station === 0;
    const valid = isStart ? isStartName(newName) : isStationName(newName);
    if (!valid) return fail({ code: 'bad-name', name: newName });
    const taken = stationNamed(solved.value, newName);
    if (taken !== undefined && taken !== station) {
      return fail({ code: 'name-taken', name: newName });
    }
    const made = isStart ? START : solved.value.legs.leg(station).entry;
    const rows = rowsOf(outing).map((row) =>
      row.was === made ? { ...row, entry: withReference(row.entry, newName) } : row,
    );
    const startName = isStart ? newName : outing.start.name;
    const linked = relinked(outing, models, startName, rows);
    if (!linked.ok) return linked;
    const header = isStart ? [startRenamed(outing, newName)] : [];
    return checked(outing, models, [...header, ...replacements(linked.value, outing.entries)]);
  };

function startRenamed(outing: Outing, name: string): Operation {
  const before = headerOf(outing);
  return { op: 'header', before, after: { ...before, start: { ...before.start, name } } };
}
