import dayjs from 'dayjs';
import type { Table } from 'dexie';
import { logbookOf, type Logbook } from '../core/model/logbook';
import type { Outing } from '../core/model/outing';
import type { DeviceRecord } from '../core/model/device-record';
import { areaLogs } from './documents/areas';
import { routeLogs } from './documents/routes';
import type { CairnDatabase, DailyCopy } from './database';
import { deviceRecord, type PixelFiles } from './device-record';
import { knownPlaces } from './known/known-places';
import { changeLogs } from './outings';
import { practiceRecord } from './practice/record';
import { paceProfiles } from './profiles';
import { replay } from './replay';

/**
 * All outings, areas, routes, known places, what the trainer keeps and what the device holds beside
 * that. A damaged outing is there up to the damage, with its raw records. `files` are the pictures'
 * pixels, where they are asked for.
 */
export async function wholeBackup(
  database: CairnDatabase,
  now: Date,
  withPixels: boolean,
): Promise<{ logbook: Logbook; files: PixelFiles }> {
  const outings: Outing[] = [];
  const damagedJournals: unknown[] = [];
  for (const records of (await changeLogs(database)).values()) {
    const { state, damage } = replay(null, records);
    if (damage) damagedJournals.push(...records);
    if (state && !state.discarded) outings.push(state.document);
  }
  const areas = (await areaLogs.all(database)).map(({ document }) => document);
  const routes = (await routeLogs.all(database)).map(({ document }) => document);
  const profiles = await paceProfiles(database);
  const known = await knownPlaces(database);
  const practice = (await practiceRecord(database)) ?? undefined;
  const { record, files } = await deviceRecord(database, withPixels);
  const logbook = {
    ...logbookOf(outings, now.toISOString(), profiles, {
      areas,
      knownPlaces: known,
      routes,
      practice,
      device: record ?? undefined,
    }),
    ...(damagedJournals.length > 0 ? { damagedJournals } : {}),
  };
  return { logbook, files };
}

/** The same without pixels. */
export const wholeLogbook = async (database: CairnDatabase, now: Date): Promise<Logbook> =>
  (await wholeBackup(database, now, false)).logbook;

/** The tables of the database. */
type TableName = {
  [Name in keyof CairnDatabase]: CairnDatabase[Name] extends Table ? Name : never;
}[keyof CairnDatabase];

/**
 * Where each table is in a backup: a new table does not compile without its place. What is left out
 * says why.
 */
export const IN_BACKUP: Readonly<
  Record<TableName, 'outings' | 'documents' | 'practice' | 'device' | { readonly not: string }>
> = {
  changes: 'outings',
  profiles: 'documents',
  areas: 'documents',
  routes: 'documents',
  places: 'documents',
  attempts: 'practice',
  courses: 'practice',
  courseResults: 'practice',
  blindWalks: 'practice',
  pictures: 'device',
  pictureFiles: 'device',
  counts: 'device',
  kept: 'device',
  snapshots: { not: 'made again from the change logs' },
  copies: { not: 'daily copies are backups themselves' },
  marks: { not: 'when this device was backed up' },
  heightSheets: { not: 'the files they were read from can be read again, and are large' },
  heightTiles: { not: 'as their sheets' },
  knownPlaces: { not: 'of versions before 9; moved to the change logs of places' },
};

/** Tables whose records are only ever added: how many there are says what changed. */
const GROWING = ['changes', 'areas', 'routes', 'places', 'counts', 'attempts'] as const;
/** Tables whose records change in their place; they are few and small. */
const CHANGING = [
  'profiles',
  'courses',
  'courseResults',
  'blindWalks',
  'pictures',
  'kept',
] as const;
/** What is typed and not logged is backed up, and no change to be reminded of. */
const DRAFT = /^cairn-(line|keypad)-/;

/** How far a device has come: what was changed since is found from two of these. */
export interface Progress {
  readonly changes: number;
  /** Of what changes in its place. */
  readonly digest: string;
}

/** How far this device has come. */
export async function progressOf(database: CairnDatabase): Promise<Progress> {
  const counts = await Promise.all(GROWING.map((name) => database[name].count()));
  let digest = 5381;
  for (const name of CHANGING) {
    const records: readonly object[] = await database[name].toArray();
    const meant = records.filter((each) => !('key' in each && DRAFT.test(String(each.key))));
    // Bernstein's hash: two states of one device are distinguished, and nothing depends on more.
    for (const char of JSON.stringify(meant)) digest = (33 * digest + char.charCodeAt(0)) | 0;
  }
  return { changes: counts.reduce((sum, count) => sum + count, 0), digest: String(digest) };
}

/** Records that a backup was made of this state: take it before the backup is made. */
export async function markBackup(
  database: CairnDatabase,
  now: Date,
  { changes, digest }: Progress,
): Promise<void> {
  await database.marks.put({ name: 'backup', at: now.toISOString(), changes, digest });
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
  const { changes, digest } = await progressOf(database);
  const isOtherwise = mark?.digest !== undefined && mark.digest !== digest;
  const changesSince = changes - (mark?.changes ?? 0) + (isOtherwise ? 1 : 0);
  if (!mark) return { at: null, changesSince, due: changesSince >= WORTH_A_BACKUP };
  const days = dayjs(now).diff(mark.at, 'day', true);
  // A backup of the future was marked by a clock that was wrong.
  const isLongAgo = days >= REMIND_AFTER_DAYS || days < -1;
  return { at: mark.at, changesSince, due: changesSince > 0 && isLongAgo };
}

/** Copies of this many days are kept, and as many of days that lie ahead of the clock. */
const COPIES_KEPT = 3;

/** Nothing but choices: what a new device has after a minute. */
function isEmptyBackup(logbook: Logbook): boolean {
  const { outings, paceProfiles, areas, routes, knownPlaces, practice, device } = logbook;
  const { pictures, counts } = (device ?? {}) as Partial<DeviceRecord>;
  const lists = [outings, paceProfiles, areas, routes, knownPlaces, pictures, counts];
  return !practice && lists.every((list) => (list?.length ?? 0) === 0);
}

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
  if (isEmptyBackup(logbook)) return false;
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
    const all = await dailyCopies(database);
    // Copies of later days were made by a wrong clock, or this one is: each keeps its own.
    const kept = [
      ...all.filter((copy) => copy.day <= day).slice(0, COPIES_KEPT),
      ...all.filter((copy) => copy.day > day).slice(0, COPIES_KEPT),
    ];
    const old = all.filter((copy) => !kept.includes(copy));
    await database.copies.bulkDelete(old.map((copy) => copy.day));
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
