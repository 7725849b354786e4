import { group } from 'd3-array';
import { outingSchema, type Outing } from '../core/model/outing';
import type { Change, ChangeRecord } from './change';
import { inTime, type CairnDatabase } from './database';
import { replay, type OutingState, type Replayed } from './replay';
import { isClash } from './store-fault';

/** A stored outing; `damaged` when its change log can't be replayed to its end. */
export interface StoredOuting {
  readonly state: OutingState;
  readonly damaged: boolean;
}

/** The records of every change log, by outing. */
export async function changeLogs(
  database: CairnDatabase,
): Promise<ReadonlyMap<string, readonly ChangeRecord[]>> {
  return group(await database.changes.toArray(), ({ outing }) => outing);
}

/** The changes of an outing after one of them. */
export const recordsAfter = (
  database: CairnDatabase,
  id: string,
  number: number,
): Promise<ChangeRecord[]> =>
  database.changes
    .where('[outing+number]')
    .between([id, number + 1], [id, Infinity])
    .toArray();

const recordsOf = (database: CairnDatabase, id: string) => recordsAfter(database, id, -1);

/** One outing by its change log; null when there is none. */
export async function replayed(database: CairnDatabase, id: string): Promise<Replayed | null> {
  const records = await recordsOf(database, id);
  return records.length === 0 ? null : replay(null, records);
}

/** True for an outing that was deleted, also after the damage that its replay stops at. */
export function isDiscarded(
  { state, damage }: Replayed,
  records: readonly ChangeRecord[],
): boolean {
  const last = records.at(-1) as { change?: { kind?: unknown } } | undefined;
  const kind = damage ? last?.change?.kind : undefined;
  if (kind === 'discard' || kind === 'recover') return kind === 'discard';
  return state?.discarded ?? false;
}

/** All outings that aren't deleted, the last changed first, by their whole change logs. */
export async function storedOutings(database: CairnDatabase): Promise<StoredOuting[]> {
  const stored: StoredOuting[] = [];
  for (const records of (await changeLogs(database)).values()) {
    const whole = replay(null, records);
    const { state, damage } = whole;
    if (state && !isDiscarded(whole, records)) stored.push({ state, damaged: damage !== null });
  }
  return lastChangedFirst(stored);
}

export const lastChangedFirst = (stored: readonly StoredOuting[]): StoredOuting[] =>
  [...stored].sort((a, b) => b.state.changedAt.localeCompare(a.state.changedAt));

/**
 * Stores an outing, durable when the promise resolves. One with the same id stays as it is, and
 * comes back if it was deleted.
 */
export async function addOuting(database: CairnDatabase, outing: Outing, now: Date): Promise<void> {
  const change: Change = { kind: 'create', outing: outingSchema.parse(outing) };
  try {
    const record = { outing: outing.id, number: 0, at: now.toISOString(), change };
    await inTime(database.changes.add(record));
  } catch (error) {
    if (!isClash(error)) throw error;
    await markOuting(database, outing.id, 'recover', now);
  }
}

/** Deletes an outing or brings it back; its change log stays. */
export async function markOuting(
  database: CairnDatabase,
  id: string,
  kind: 'discard' | 'recover',
  now: Date,
): Promise<void> {
  await database.transaction('rw', database.changes, async () => {
    const records = await recordsOf(database, id);
    const last = records.at(-1);
    if (!last || isDiscarded(replay(null, records), records) === (kind === 'discard')) return;
    // After the last record, whatever it holds: a damaged outing can be deleted too.
    const number = last.number + 1;
    await database.changes.add({ outing: id, number, at: now.toISOString(), change: { kind } });
  });
}
