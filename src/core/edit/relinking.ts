import type { EarthModels } from '../earth-models';
import type { Fault, OutingFault } from '../faults';
import type { Entry, Outing } from '../logbook';
import { fail, ok, type Result } from '../result';
import { solve, type Solution } from '../solve';
import { checked } from './command';
import type { Operation } from './operations';

/** The lines of a page, with the index that each had before; NaN for a new one. */
export type Rows = { entry: Entry; was: number }[];

/** Which entry made the station that each line refers to, -1 for the start. */
function targetsOf(outing: Outing, solution: Solution): Map<number, number> {
  const targets = new Map<number, number>();
  let legs = 0;
  outing.entries.forEach((entry, index) => {
    if (entry.kind === 'leg') {
      legs++;
      const station = solution.stationOfLeg[legs]!;
      if (station !== legs) targets.set(index, solution.entryOfLeg[station]!);
    } else if (entry.kind === 'from') {
      const station = solution.stations.find(entry.station, legs);
      if (station !== undefined) targets.set(index, solution.entryOfLeg[station]!);
    }
  });
  return targets;
}

/** Names of the stations that the rows make, by the entry that made them before. */
function namesOf(startName: string, rows: Rows): Map<number, string> {
  const names = new Map<number, string>([[-1, startName]]);
  let legs = 0;
  for (const { entry, was } of rows) {
    if (entry.kind !== 'leg') continue;
    legs++;
    names.set(was, entry.to ?? String(legs));
  }
  return names;
}

/** A line with another name in the place of the station that it refers to. */
export const refersTo = (entry: Entry, name: string): Entry =>
  entry.kind === 'from'
    ? { ...entry, station: name }
    : entry.kind === 'leg'
      ? { ...entry, to: name }
      : entry;

const reference = (entry: Entry) =>
  entry.kind === 'from' ? entry.station : entry.kind === 'leg' ? entry.to : undefined;

/**
 * Keeps every reference on the station that it meant when legs move, go or come: unnamed stations are
 * called by their leg's number, which changes. `was` is the entry's index before, NaN for a new one.
 */
export function relinked(
  outing: Outing,
  models: EarthModels | null,
  startName: string,
  rows: Rows,
): Result<Rows, Fault | OutingFault> {
  const solved = solve(outing, models);
  if (!solved.ok) return solved;
  const targets = targetsOf(outing, solved.value);
  const names = namesOf(startName, rows);
  const lost: number[] = [];
  let lostName = '';
  const linked = rows.map(({ entry, was }, index) => {
    const target = targets.get(was);
    const unchanged = reference(entry) === reference(outing.entries[was] ?? entry);
    if (target === undefined || !unchanged) return { entry, was };
    const name = names.get(target);
    if (name === undefined) {
      lost.push(index + 1);
      lostName = reference(entry)!;
      return { entry, was };
    }
    return name === reference(entry) ? { entry, was } : { entry: refersTo(entry, name), was };
  });
  if (lost.length > 0) return fail({ code: 'station-in-use', name: lostName, legs: lost });
  return ok(linked);
}

export const rowsOf = (outing: Outing): Rows =>
  outing.entries.map((entry, was) => ({ entry, was }));

/** Replacements for the lines that keep their place but changed, after the rest was put in or taken out. */
export const replacements = (rows: Rows, standing: readonly Entry[]): Operation[] =>
  rows.flatMap(({ entry }, index) =>
    entry === standing[index]
      ? []
      : [{ op: 'replace' as const, index, before: standing[index]!, after: entry }],
  );

/** A change of structure with the references mended after it, if the page can still be worked out. */
export function restructured(
  outing: Outing,
  models: EarthModels | null,
  structural: Operation[],
  rows: Rows,
): Result<Operation[], Fault | OutingFault> {
  const linked = relinked(outing, models, outing.start.name, rows);
  if (!linked.ok) return linked;
  const standing = rows.map(({ entry }) => entry);
  return checked(outing, models, [...structural, ...replacements(linked.value, standing)]);
}
