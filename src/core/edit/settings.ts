import { inForceAt } from '../survey/in-force';
import equal from 'fast-deep-equal';
import { isLeg, type Entry, type EntryOf } from '../entries/entry';
import type { HomeReadings } from '../entries/reckoning';
import type { Header } from '../model/header';
import { headerOf, type Outing } from '../model/outing';
import type { North } from '../units/bearing';
import { addEntries, checked, type Command } from './command';
import { apply, insertion, type Operation } from './operations';

/**
 * Gives an outing the paces that it is walked with from here on. In a log without legs they take
 * the place of those that are there; legs that were logged keep the ones they were walked with.
 */
export const applyPaceProfile =
  (lines: EntryOf<'pace'>[]): Command =>
  (outing, models) => {
    if (outing.entries.some(isLeg)) return addEntries(lines)(outing, models);
    const removals = [...outing.entries.entries()]
      .filter(([, entry]) => entry.kind === 'pace')
      .map(([index, entry]): Operation => ({ op: 'remove', index, entries: [entry] }))
      // The last first, so that the indices of the others hold.
      .reverse();
    return checked(outing, models, [...removals, insertion(0, lines)]);
  };

/** Changes the header: name, date, start, declination and what is shown. */
export const changeHeader =
  (change: (header: Header) => Header): Command =>
  (outing, models) => {
    const before = headerOf(outing);
    return checked(outing, models, [{ op: 'header', before, after: change(before) }]);
  };

/** Adds lines at the end of the log with changes of its header, all of them or none. */
export const addLines =
  (entries: readonly Entry[], header: Partial<Header>): Command =>
  (outing, models) => {
    const before = headerOf(outing);
    const after = { ...before, ...header };
    const operations: Operation[] = equal(before, after) ? [] : [{ op: 'header', before, after }];
    if (entries.length > 0) operations.push(insertion(outing.entries.length, [...entries]));
    return checked(outing, models, operations);
  };

/** What holds for a whole outing, as set in one go; null leaves a part as it is. */
export interface OutingSettings {
  readonly header: Header;
  readonly pace: EntryOf<'pace'> | null;
  /** The north that bearings without a letter are read from, on the lines that follow. */
  readonly read: North | null;
}

/** True for the line that sets the pace on every ground that has none of its own. */
export const isGeneralPace = (entry: Entry): entry is EntryOf<'pace'> =>
  entry.kind === 'pace' && entry.ground === undefined;

/** Which north the lines that follow are read from. */
export const readingNorthAtEnd = (outing: Outing): North => inForceAt(outing).readingNorth;

/**
 * Changes the settings of an outing. Readings stay as they were read, each with its north; another
 * reading north holds for the lines that follow. Nothing to change gives no operations.
 */
export const changeSettings =
  ({ header, pace, read }: OutingSettings): Command =>
  (outing, models) => {
    const before = headerOf(outing);
    const operations: Operation[] = equal(before, header)
      ? []
      : [{ op: 'header', before, after: header }];
    if (pace) operations.push(...paceChange(outing, pace));
    const after = apply(outing, operations);
    if (!after.ok) return after;
    if (read) operations.push(...readingNorthChange(after.value, read));
    return checked(outing, models, operations);
  };

/** Replaces the last general pace, or puts one at the top of a log that has none. */
function paceChange({ entries }: Outing, pace: EntryOf<'pace'>): Operation[] {
  const index = entries.findLastIndex(isGeneralPace);
  const before = entries[index];
  if (equal(before, pace)) return [];
  return [before ? { op: 'replace', index, before, after: pace } : insertion(0, [pace])];
}

/** Replaces the last `read` line while nothing follows it, else adds one at the end. */
function readingNorthChange(outing: Outing, north: North): Operation[] {
  if (north === readingNorthAtEnd(outing)) return [];
  const line: Entry = { kind: 'read', north };
  const index = outing.entries.length - 1;
  const last = outing.entries[index];
  return last?.kind === 'read'
    ? [{ op: 'replace', index, before: last, after: line }]
    : [insertion(index + 1, [line])];
}

/** How the walk home will be made: the last `home` line is replaced, or one is added at the end. */
export const changeHome =
  (home: HomeReadings): Command =>
  (outing, models) => {
    const after: Entry = { kind: 'home', ...home };
    const index = outing.entries.findLastIndex(({ kind }) => kind === 'home');
    const before = outing.entries[index];
    const operation: Operation = before
      ? { op: 'replace', index, before, after }
      : insertion(outing.entries.length, [after]);
    return checked(outing, models, equal(before, after) ? [] : [operation]);
  };
