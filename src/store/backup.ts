import dayjs from 'dayjs';
import { logbookOf, type Logbook } from '../core/model/logbook';
import type { Outing } from '../core/model/outing';
import { areaLogs } from './documents/areas';
import { routeLogs } from './documents/routes';
import type { CairnDatabase, DailyCopy } from './database';
import { knownPlaces } from './known/known-places';
import { changeLogs } from './outings';
import { practiceRecord } from './practice/record';
import { paceProfiles } from './profiles';
import { replay } from './replay';

/**
 * All outings, areas, routes, known places and what the trainer keeps. A damaged outing is
 * there up to the damage, with its raw records.
 */
export async function wholeLogbook(database: CairnDatabase, now: Date): Promise<Logbook> {
  const outings: Outing[] = [];
  const damagedJournals: unknown[] = [];
  for (const records of (await changeLogs(database)).values()) {
    const { state, damage } = replay(null, records);
    if (damage) damagedJournals.push(...records);
    if (state && !state.discarded) outings.push(state.outing);
  }
  const areas = (await areaLogs.all(database)).map(({ document }) => document);
  const routes = (await routeLogs.all(database)).map(({ document }) => document);
  const profiles = await paceProfiles(database);
  const known = await knownPlaces(database);
  const practice = (await practiceRecord(database)) ?? undefined;
  return {
    ...logbookOf(outings, now.toISOString(), profiles, {
      areas,
      knownPlaces: known,
      routes,
      practice,
    }),
    ...(damagedJournals.length > 0 ? { damagedJournals } : {}),
  };
}

/** Records that this many changes were backed up: count them before the backup is made. */
export async function markBackup(
  database: CairnDatabase,
  now: Date,
  changes: number,
): Promise<void> {
  await database.marks.put({ name: 'backup', at: now.toISOString(), changes });
}

/** When the last backup was, and what changed since. */
export interface BackupState {
  readonly at: string | null;
  readonly changesSince: number;
  /** True when it is time for a reminder. */
  readonly due: boolean;
}

/** A reminder comes when something changed since a backup of this age. */
const REMIND_AFTER_DAYS = 7;
/** Someone who never made a backup is reminded after this many changes. */
const WORTH_A_BACKUP = 20;

export async function backupState(database: CairnDatabase, now: Date): Promise<BackupState> {
  const mark = await database.marks.get('backup');
  const changesSince = (await database.changes.count()) - (mark?.changes ?? 0);
  if (!mark) return { at: null, changesSince, due: changesSince >= WORTH_A_BACKUP };
  const days = dayjs(now).diff(mark.at, 'day', true);
  // A backup of the future was marked by a clock that was wrong.
  const isLongAgo = days >= REMIND_AFTER_DAYS || days < -1;
  return { at: mark.at, changesSince, due: changesSince > 0 && isLongAgo };
}

/** Copies of this many days are kept. */
const COPIES_KEPT = 3;

/** A logbook's text apart from when it was written. */
const withoutDate = (logbook: object) => JSON.stringify({ ...logbook, exportedAt: '' });

/**
 * Makes the copy of the day, once a day and only when something changed since the last one; older
 * copies are removed. Resolves to whether it made one.
 */
export async function makeDailyCopy(
  database: CairnDatabase,
  day: string,
  now: Date,
): Promise<boolean> {
  const copies = await copiesBy(database, day);
  const newest = copies[0];
  if (newest?.day === day) return false;
  const logbook = await wholeLogbook(database, now);
  if (logbook.outings.length === 0) return false;
  if (newest && withoutDate(JSON.parse(newest.text) as object) === withoutDate(logbook)) {
    return false;
  }
  await database.transaction('rw', database.copies, async () => {
    await database.copies.put({
      day,
      at: now.toISOString(),
      outings: logbook.outings.length,
      text: JSON.stringify(logbook),
    });
    const kept = await copiesBy(database, day);
    await database.copies.bulkDelete(kept.slice(COPIES_KEPT).map((copy) => copy.day));
  });
  return true;
}

/**
 * The copies, the newest first as seen from a day. Those of later days were made while the clock
 * was wrong: they count as the oldest, so that copies go on once it is right.
 */
async function copiesBy(database: CairnDatabase, day: string): Promise<DailyCopy[]> {
  const copies = await dailyCopies(database);
  return [...copies.filter((copy) => copy.day <= day), ...copies.filter((copy) => copy.day > day)];
}

/** The copies, the newest first. */
export const dailyCopies = (database: CairnDatabase) =>
  database.copies.orderBy('day').reverse().toArray();
