import { group } from 'd3-array';
import type { ChangeRecord } from '../change';
import type { CairnDatabase } from '../database';
import {
  changeLogs,
  isDiscarded,
  lastChangedFirst,
  recordsAfter,
  type StoredOuting,
} from '../outings';
import { replay, type OutingState } from '../replay';
import type { Snapshot } from './record';
import { isOfLog, LEAST_CHANGES, snapshotOf, stateOf } from './snapshot';

/** The outings of a list, and snapshots that are worth keeping of them. */
export interface ListedOutings {
  readonly outings: readonly StoredOuting[];
  readonly worthKeeping: readonly Snapshot[];
}

/**
 * All outings that aren't deleted, the last changed first: from their snapshots, as far as these
 * are of their change logs, and the changes after them. Damage before a snapshot shows when the
 * outing is opened, which reads its whole log.
 */
export async function listedOutings(database: CairnDatabase): Promise<ListedOutings> {
  const stored: StoredOuting[] = [];
  const worthKeeping: Snapshot[] = [];
  for (const { from, records } of await logsWithSnapshots(database)) {
    const whole = replay(from, records);
    const { state, damage } = whole;
    const last = records.at(-1);
    if (last && state && !damage && records.length > LEAST_CHANGES) {
      worthKeeping.push(snapshotOf(last, state));
    }
    if (state && !isDiscarded(whole, records)) stored.push({ state, damaged: damage !== null });
  }
  return { outings: lastChangedFirst(stored), worthKeeping };
}

interface LogWithSnapshot {
  readonly from: OutingState | null;
  /** The changes after it. */
  readonly records: readonly ChangeRecord[];
}

/** Each change log: its snapshot, where that is of it, and the changes after; else all changes. */
async function logsWithSnapshots(database: CairnDatabase): Promise<LogWithSnapshot[]> {
  const snapshots = await database.snapshots.toArray();
  if (snapshots.length === 0) {
    const all = await changeLogs(database);
    return [...all.values()].map((records) => ({ from: null, records }));
  }
  // Keys are a tenth of the work of records.
  const keys = await database.changes.orderBy(':id').primaryKeys();
  const numbers = group(keys, ([id]) => id);
  const states = await trueStates(database, snapshots, numbers);
  return Promise.all(
    [...numbers].map(async ([id, own]) => {
      const from = states.get(id) ?? null;
      const isNewest = from !== null && own.length === from.number + 1;
      const records = isNewest ? [] : await recordsAfter(database, id, from?.number ?? -1);
      // An undo of an edit from before the snapshot can't be replayed without that edit.
      if (from === null || !replay(from, records).damage) return { from, records };
      return { from: null, records: await recordsAfter(database, id, -1) };
    }),
  );
}

/** What those snapshots hold that are of their change logs, by outing. */
async function trueStates(
  database: CairnDatabase,
  snapshots: readonly Snapshot[],
  numbers: ReadonlyMap<string, readonly (readonly [string, number])[]>,
): Promise<ReadonlyMap<string, OutingState>> {
  const found = await database.changes.bulkGet(
    snapshots.map(({ outing, number }): [string, number] => [outing, number]),
  );
  const states = new Map<string, OutingState>();
  for (const [index, snapshot] of snapshots.entries()) {
    const { outing, number } = snapshot;
    const records = (numbers.get(outing) ?? []).filter(([, each]) => each <= number).length;
    const state = isOfLog(snapshot, records, found[index]) ? stateOf(snapshot) : null;
    if (state) states.set(outing, state);
  }
  return states;
}
