import { ENTRIES, writeEntry, type Entry } from '../entries/entry';
import type { Outing } from '../model/outing';
import type { EarthModels } from '../north/earth-models';
import { walkLog } from '../survey/log-walk';
import { solveAsWalked } from '../survey/solve';
import { stationNamed, type Solution } from '../survey/solution';
import { fail, ok, type Result } from '../units/result';
import { checked, type CommandFault } from './command';
import type { Operation } from './operations';

/** A line, with the index that it had before; NaN for a new one. */
export interface Row {
  readonly entry: Entry;
  readonly was: number;
}

/** Where the start is: it has no entry of its own. */
export const START = -1;

/** The entry that made a station. */
const entryOfStation = ({ legs }: Solution, station: number): number =>
  station === 0 ? START : legs.leg(station).entry;

/** Which entry made the station that each line refers to. */
function targetsOf(solution: Solution): Map<number, number> {
  const targets = new Map<number, number>();
  for (const { entry, index, leg } of walkLog(solution)) {
    if (entry.kind === 'leg') {
      if (leg?.returns) targets.set(index, entryOfStation(solution, leg.to));
      continue;
    }
    const name = reference(entry);
    const station = name === undefined ? undefined : stationNamed(solution, name);
    if (station !== undefined) targets.set(index, entryOfStation(solution, station));
  }
  return targets;
}

/** Names of the stations that the rows make, by the entry that made them before. */
function namesOf(startName: string, rows: readonly Row[]): Map<number, string> {
  const names = new Map<number, string>([[START, startName]]);
  let legs = 0;
  for (const { entry, was } of rows) {
    if (entry.kind !== 'leg') continue;
    legs++;
    names.set(was, entry.to ?? String(legs));
  }
  return names;
}

/** The station that a line names; undefined for a line that names none. */
const reference = (entry: Entry): string | undefined => ENTRIES.of(entry).station?.get(entry);

/** The same line with another name for the station that it names. */
export const withReference = (entry: Entry, name: string): Entry =>
  ENTRIES.of(entry).station?.set(entry, name) ?? entry;

/**
 * Keeps every reference on the station that it meant when legs move, go or come: unnamed stations
 * are called by their leg's number, which changes.
 */
export function relinked(
  outing: Outing,
  models: EarthModels | null,
  startName: string,
  rows: readonly Row[],
): Result<Row[], CommandFault> {
  const solved = solveAsWalked(outing, models);
  if (!solved.ok) return solved;
  const targets = targetsOf(solved.value);
  const names = namesOf(startName, rows);
  const orphans: { line: number; name: string }[] = [];
  const linked = rows.map((row, index) => {
    const target = targets.get(row.was);
    const before = outing.entries[row.was] ?? row.entry;
    const name = reference(row.entry);
    if (target === undefined || name === undefined || name !== reference(before)) return row;
    const renamed = names.get(target);
    if (renamed === undefined) orphans.push({ line: index + 1, name });
    return renamed === undefined || renamed === name
      ? row
      : { ...row, entry: withReference(row.entry, renamed) };
  });
  const lost = orphans.at(-1);
  if (!lost) return ok(linked);
  const lines = orphans.map(({ line }) => line);
  return fail({ code: 'station-in-use', name: lost.name, legs: lines });
}

export const rowsOf = (outing: Outing): Row[] =>
  outing.entries.map((entry, was) => ({ entry, was }));

/** Replacements for the lines that keep their place but changed. */
export const replacements = (rows: readonly Row[], before: readonly Entry[]): Operation[] =>
  rows.flatMap(({ entry }, index) => {
    const old = before[index];
    if (old === undefined || old === entry) return [];
    return [{ op: 'replace' as const, index, before: old, after: entry }];
  });

/** What each line that was there before belongs to: the leg, or the station, by its old index. */
function ownersOf(rows: readonly Row[]): Map<number, number> {
  const owners = new Map<number, number>();
  let [leg, station] = [START, START];
  for (const { entry, was } of rows) {
    if (entry.kind === 'leg') leg = station = was;
    // A half tells it from a leg, which a correction may have made of it.
    else if (entry.kind === 'from' || entry.kind === 'here') station = was + 0.5;
    const belongsTo = ENTRIES.of(entry).attachesTo;
    if (belongsTo === 'leg') owners.set(was, leg);
    if (belongsTo === 'station') owners.set(was, station);
  }
  return owners;
}

/** The first line that a change of structure would join to another leg; null for none. */
function joined(outing: Outing, rows: readonly Row[]): Entry | null {
  const before = ownersOf(rowsOf(outing));
  const after = ownersOf(rows);
  for (const { entry, was } of rows) {
    const owner = after.get(was);
    if (owner !== undefined && before.has(was) && before.get(was) !== owner) return entry;
  }
  return null;
}

/**
 * A change of structure with the references mended after it, if the outing can be solved and no
 * line comes to belong to another leg.
 */
export function restructured(
  outing: Outing,
  models: EarthModels | null,
  structural: Operation[],
  rows: readonly Row[],
): Result<Operation[], CommandFault> {
  const stray = joined(outing, rows);
  if (stray) return fail({ code: 'joins-another-leg', line: writeEntry(stray, 'magnetic').trim() });
  const linked = relinked(outing, models, outing.start.name, rows);
  if (!linked.ok) return linked;
  const before = rows.map(({ entry }) => entry);
  return checked(outing, models, [...structural, ...replacements(linked.value, before)]);
}
