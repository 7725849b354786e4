import equal from 'fast-deep-equal';
import { headerOf, type Entry, type EntryOf, type Header, type Outing } from '../logbook';
import type { North } from '../north';
import { addEntries, checked, type Command } from './command';
import { applied, insertion, type Operation } from './operations';

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
