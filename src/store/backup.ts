import type { Logbook } from '../core/logbook';
import type { CairnDatabase, NightlyCopy } from './database';
import { follow } from './journal';
import { paceProfiles } from './profiles';

/** Everything on the shelf as one logbook. Of a damaged outing there is the page up to the damage, and its records as they are. */
export async function wholeLogbook(database: CairnDatabase, now: Date): Promise<Logbook> {
  const journals = new Map<string, unknown[]>();
  for (const record of await database.changes.toArray()) {
    const journal = journals.get(record.outing);
    if (journal) journal.push(record);
    else journals.set(record.outing, [record]);
  }
  const outings: Logbook['outings'] = [];
  const damagedJournals: unknown[] = [];
  for (const journal of journals.values()) {
    const { page, damage } = follow(null, journal);
    if (damage) damagedJournals.push(...journal);
    if (page && !page.discarded) outings.push(page.outing);
  }
  return {
    format: 'cairn-back/logbook',
    version: 1,
    exportedAt: now.toISOString(),
    outings,
    paceProfiles: await paceProfiles(database),
    ...(damagedJournals.length > 0 ? { damagedJournals } : {}),
  };
}

/** Notes down that the first so many changes were backed up: count them before the backup is made, so that none is passed over. */
export async function markBackup(
  database: CairnDatabase,
  now: Date,
  changes: number,
): Promise<void> {
  await database.marks.put({ name: 'backup', at: now.toISOString(), changes });
}

/** When the last backup was, and what came since. */
export interface BackupState {
  readonly at: string | null;
  /** Changes written since. */
  readonly changesSince: number;
  /** True when it is time to remind, gently: something was written, and the last backup is a week old or there is none. */
  readonly due: boolean;
}

const REMIND_AFTER_DAYS = 7;
/** Fewer changes than this are no reason to remind someone who has never backed up. */
const WORTH_A_BACKUP = 20;

/** How the backup stands. */
export async function backupState(database: CairnDatabase, now: Date): Promise<BackupState> {
  const [mark, changes] = await Promise.all([
    database.marks.get('backup'),
    database.changes.count(),
  ]);
  const changesSince = changes - (mark?.changes ?? 0);
  const days = mark ? (now.getTime() - Date.parse(mark.at)) / 86_400_000 : Infinity;
  const due = mark ? changesSince > 0 && days >= REMIND_AFTER_DAYS : changesSince >= WORTH_A_BACKUP;
  return { at: mark?.at ?? null, changesSince, due };
}

/** Copies of this many days are kept. */
const COPIES_KEPT = 3;

/**
 * Makes the copy of the day, once a day and only when something was written since the last one; older ones go. Resolves to
 * whether it made one.
 */
export async function makeNightlyCopy(
  database: CairnDatabase,
  day: string,
  now: Date,
): Promise<boolean> {
  const newest = await database.copies.orderBy('day').last();
  if (newest && newest.day >= day) return false;
  const logbook = await wholeLogbook(database, now);
  if (logbook.outings.length === 0) return false;
  const text = JSON.stringify({ ...logbook, exportedAt: '' });
  if (
    newest &&
    JSON.stringify({ ...(JSON.parse(newest.text) as object), exportedAt: '' }) === text
  ) {
    return false;
  }
  await database.transaction('rw', database.copies, async () => {
    const copy: NightlyCopy = {
      day,
      at: now.toISOString(),
      outings: logbook.outings.length,
      text: JSON.stringify(logbook),
    };
    await database.copies.put(copy);
    const days = await database.copies.orderBy('day').primaryKeys();
    await database.copies.bulkDelete(days.slice(0, -COPIES_KEPT));
  });
  return true;
}

/** The copies, the newest first, without their texts' parsing. */
export const nightlyCopies = (database: CairnDatabase): Promise<NightlyCopy[]> =>
  database.copies.orderBy('day').reverse().toArray();
