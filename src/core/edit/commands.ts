import equal from 'fast-deep-equal';
import type { EarthModels } from '../earth-models';
import type { Fault, OutingFault } from '../faults';
import {
  headerOf,
  isStartName,
  isStationName,
  type Entry,
  type EntryOf,
  type Header,
  type Outing,
} from '../logbook';
import type { North } from '../north';
import { writeEntry } from '../log-text/write-log';
import { fail, ok, type Result } from '../result';
import { solve, type Solution } from '../solve';
import { applied, insertion, type Operation } from './operations';

/** What a command gives: the operations to write down, or why it can't be done. */
export type Command = (
  outing: Outing,
  models: EarthModels | null,
) => Result<Operation[], Fault | OutingFault>;

const hasPlace = (fault: Fault | OutingFault): fault is OutingFault => 'at' in fault;
/** The fault itself, wherever it stands. */
export const faultOf = (fault: Fault | OutingFault): Fault =>
  hasPlace(fault) ? fault.fault : fault;

/** Checks that the page can still be worked out afterwards. */
function checked(
  outing: Outing,
  models: EarthModels | null,
  operations: Operation[],
): Result<Operation[], Fault | OutingFault> {
  const after = applied(outing, operations);
  if (!after.ok) return after;
  const solved = solve(after.value, models);
  return solved.ok ? ok(operations) : solved;
}

/** Adds lines at the end of the page, all of them or none. */
export const addEntries =
  (entries: Entry[]): Command =>
  (outing, models) =>
    checked(outing, models, [insertion(outing.entries.length, entries)]);

/** Adds a line at the end of the page. */
export const addEntry = (entry: Entry): Command => addEntries([entry]);

/**
 * Gives an outing the paces that it is walked with from here on. On a page without legs they take the place of those
 * that stand; legs that were logged keep the ones that they were walked with.
 */
export const takePaces =
  (lines: EntryOf<'pace'>[]): Command =>
  (outing, models) => {
    if (outing.entries.some(({ kind }) => kind === 'leg')) return addEntries(lines)(outing, models);
    const gone: Operation[] = [];
    for (let index = outing.entries.length - 1; index >= 0; index--) {
      const entry = outing.entries[index]!;
      if (entry.kind === 'pace') gone.push({ op: 'remove', index, entries: [entry] });
    }
    return checked(outing, models, [...gone, insertion(0, lines)]);
  };

/** Changes the header: the name, the date, the start, the declination and what is shown. */
export const changeHeader =
  (change: (header: Header) => Header): Command =>
  (outing, models) => {
    const before = headerOf(outing);
    return checked(outing, models, [{ op: 'header', before, after: change(before) }]);
  };

/** Lines that speak of the leg before them, and go where it goes. */
const OF_A_LEG: ReadonlySet<Entry['kind']> = new Set(['at', 'see', 'box', 'passed', 'right']);

/** How many lines belong to the leg at an entry: the leg, and what was seen or done on it. */
export function extentOfLeg(outing: Outing, index: number): number {
  let end = index + 1;
  while (end < outing.entries.length && OF_A_LEG.has(outing.entries[end]!.kind)) end++;
  return end - index;
}

/** When and why a line was struck out. The moment is ISO 8601; the core has no clock. */
export interface Strike {
  readonly at: string;
  readonly reason?: string;
}

/** A line as it stands on the page once it is struck: its text, when and why. */
const struck = (entry: Entry, { at, reason }: Strike): Entry => ({
  kind: 'struck',
  at,
  ...(reason === undefined ? {} : { reason }),
  was: writeEntry(entry, 'magnetic').trim(),
});

type Rows = { entry: Entry; was: number }[];

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

const refersTo = (entry: Entry, name: string): Entry =>
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
function relinked(
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

const rowsOf = (outing: Outing): Rows => outing.entries.map((entry, was) => ({ entry, was }));

/** Replacements for the lines that keep their place but changed, after the rest was put in or taken out. */
const replacements = (rows: Rows, standing: readonly Entry[]): Operation[] =>
  rows.flatMap(({ entry }, index) =>
    entry === standing[index]
      ? []
      : [{ op: 'replace' as const, index, before: standing[index]!, after: entry }],
  );

function restructured(
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

const elsewhere = fail<Fault>({ code: 'changed-elsewhere' });
/** True while a line is still what the person saw: another tab may have moved it in the meantime. */
const stands = (outing: Outing, index: number, seen: Entry) => equal(outing.entries[index], seen);

/**
 * Strikes the line at an entry out: it stays on the page and counts for nothing; a leg takes with it what was seen on
 * it. A line that is struck already stays. `seen` is the entry as the person saw it.
 */
export const strikeEntry =
  (index: number, seen: Entry, strike: Strike): Command =>
  (outing, models) => {
    if (!stands(outing, index, seen)) return elsewhere;
    if (seen.kind === 'struck') return ok([]);
    const extent = seen.kind === 'leg' ? extentOfLeg(outing, index) : 1;
    const rows = rowsOf(outing);
    const operations: Operation[] = [];
    for (let at = index; at < index + extent; at++) {
      const before = outing.entries[at]!;
      const after = struck(before, strike);
      operations.push({ op: 'replace', index: at, before, after });
      rows[at] = { entry: after, was: NaN };
    }
    return restructured(outing, models, operations, rows);
  };

/** Puts a line in before an entry; `seen` is that entry as the person saw it. */
export const insertEntry =
  (index: number, seen: Entry, entry: Entry): Command =>
  (outing, models) => {
    if (!stands(outing, index, seen)) return elsewhere;
    const rows = rowsOf(outing).toSpliced(index, 0, { entry, was: NaN });
    return restructured(outing, models, [insertion(index, [entry])], rows);
  };

/**
 * Corrects the line at an entry: what stood there is struck out above it, with the time and the reason. `seen` is the
 * entry as the person saw it; the same line again changes nothing.
 */
export const correctEntry =
  (index: number, seen: Entry, after: Entry, strike: Strike): Command =>
  (outing, models) => {
    if (!stands(outing, index, seen)) return elsewhere;
    if (seen.kind === 'struck' || equal(seen, after)) return ok([]);
    const old = struck(seen, strike);
    const operations: Operation[] = [
      { op: 'replace', index, before: seen, after: old },
      insertion(index + 1, [after]),
    ];
    const corrected = { entry: after, was: index };
    const rows = rowsOf(outing).toSpliced(index, 1, { entry: old, was: NaN }, corrected);
    return restructured(outing, models, operations, rows);
  };

/** Puts a remark right after an entry and what is already remarked on it; `seen` is the entry as the person saw it. */
export const remarkOn =
  (index: number, seen: Entry, remark: EntryOf<'right'>): Command =>
  (outing, models) => {
    if (!stands(outing, index, seen)) return elsewhere;
    return checked(outing, models, [insertion(index + 1, [remark])]);
  };

/** The first entry of the leg before the leg at an entry, or the one after it; null where there is none. */
function neighbour(outing: Outing, index: number, way: 'up' | 'down'): number | null {
  const isLeg = ({ kind }: Entry) => kind === 'leg';
  if (way === 'up') {
    const found = outing.entries.slice(0, index).findLastIndex(isLeg);
    return found < 0 ? null : found;
  }
  const after = index + extentOfLeg(outing, index);
  const found = outing.entries.slice(after).findIndex(isLeg);
  return found < 0 ? null : after + found;
}

/** Moves a leg, with what was seen on it, before the leg above it or after the one below it. */
export const moveLeg =
  (index: number, seen: Entry, way: 'up' | 'down'): Command =>
  (outing, models) => {
    if (!stands(outing, index, seen)) return elsewhere;
    if (seen.kind !== 'leg') return ok([]);
    const other = neighbour(outing, index, way);
    if (other === null) return ok([]);
    const extent = extentOfLeg(outing, index);
    const block = outing.entries.slice(index, index + extent);
    const rows = rowsOf(outing);
    const moved = rows.splice(index, extent);
    const to = way === 'up' ? other : other + extentOfLeg(outing, other) - extent;
    rows.splice(to, 0, ...moved);
    const operations: Operation[] = [{ op: 'remove', index, entries: block }, insertion(to, block)];
    return restructured(outing, models, operations, rows);
  };

/** Gives a station another name, wherever it is spoken of.  */
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

/** What holds for a whole outing, as set in one go; null leaves a part as it stands. */
export interface SetUp {
  readonly header: Header;
  readonly pace: EntryOf<'pace'> | null;
  /** The north that bearings without a letter are read from, for the lines that follow. */
  readonly read: North | null;
}

/** True for the line that sets the pace on every ground that has none of its own. */
export const isGeneralPace = (entry: Entry): entry is EntryOf<'pace'> =>
  entry.kind === 'pace' && entry.ground === undefined;

/** Which north the lines that follow are read from. */
export const readNorthAtEnd = (outing: Outing): North =>
  outing.entries.findLast((entry) => entry.kind === 'read')?.north ?? 'magnetic';

/**
 * Sets up an outing. Readings stay as they were read, each with its north; another reading north holds for the
 * lines that follow, and on a page without legs it stands at the top. Nothing to change gives no operations.
 */
export const setUpOuting =
  ({ header, pace, read }: SetUp): Command =>
  (outing, models) => {
    const before = headerOf(outing);
    const operations: Operation[] = equal(before, header)
      ? []
      : [{ op: 'header', before, after: header }];
    const index = outing.entries.findLastIndex(isGeneralPace);
    const standing = outing.entries[index];
    if (pace && !equal(standing, pace)) {
      operations.push(
        standing ? { op: 'replace', index, before: standing, after: pace } : insertion(0, [pace]),
      );
    }
    if (read && read !== readNorthAtEnd(outing)) {
      const line: Entry = { kind: 'read', north: read };
      const after = applied(outing, operations);
      if (!after.ok) return after;
      const { entries } = after.value;
      const last = entries.findLastIndex((entry) => entry.kind === 'read');
      const unused = last >= 0 && !entries.slice(last).some((entry) => entry.kind !== 'read');
      operations.push(
        unused
          ? { op: 'replace', index: last, before: entries[last]!, after: line }
          : insertion(entries.length, [line]),
      );
    }
    return checked(outing, models, operations);
  };
