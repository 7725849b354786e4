import equal from 'fast-deep-equal';
import * as z from 'zod/mini';
import { outingSchema } from '../../core/model/outing';
import type { ChangeRecord } from '../change';
import type { CairnDatabase } from '../database';
import type { OutingState } from '../replay';
import type { Snapshot } from './record';

/** Of more changes than this since the last one, a snapshot is worth its room. */
export const LEAST_CHANGES = 50;

const whole = z.int().check(z.gte(0));
const stateSchema = z.object({
  outing: outingSchema,
  changedAt: z.string(),
  discarded: z.boolean(),
  undoable: z.array(whole),
  redoable: z.array(whole),
});

/** The state that a snapshot holds; null for one that can't be read. */
export function stateOf({ number, state }: Snapshot): OutingState | null {
  const read = stateSchema.safeParse(state);
  if (!read.success) return null;
  const { outing: document, ...rest } = read.data;
  return { document, ...rest, number, edits: new Map() };
}

/** A snapshot of a state after its last change. */
export function snapshotOf(last: ChangeRecord, state: OutingState): Snapshot {
  const { document: outing, changedAt, discarded, undoable, redoable } = state;
  return {
    outing: outing.id,
    number: last.number,
    last,
    state: { outing, changedAt, discarded, undoable, redoable },
  };
}

/** True for a snapshot whose change is in the log as it was, with all changes before it. */
export const isOfLog = (
  { number, last }: Snapshot,
  records: number,
  found: ChangeRecord | undefined,
): boolean => records === number + 1 && equal(found, last);

/**
 * The snapshot of an outing, if its log still holds as many changes up to it and its own change
 * unaltered; null otherwise. The rest of the log is compared by anyone who reads it whole.
 */
export async function keptSnapshot(
  database: CairnDatabase,
  id: string,
): Promise<{ readonly snapshot: Snapshot; readonly state: OutingState } | null> {
  const snapshot = await database.snapshots.get(id);
  if (!snapshot) return null;
  const { number } = snapshot;
  const [records, found] = await Promise.all([
    database.changes.where('[outing+number]').between([id, 0], [id, number], true, true).count(),
    database.changes.get([id, number]),
  ]);
  const state = isOfLog(snapshot, records, found) ? stateOf(snapshot) : null;
  return state && { snapshot, state };
}

/** Keeps snapshots. One that can't be written is done without. */
export const keepSnapshots = (
  database: CairnDatabase,
  snapshots: readonly Snapshot[],
): Promise<void> =>
  database.snapshots.bulkPut([...snapshots]).then(
    () => undefined,
    () => undefined,
  );

/** Throws one away. */
export const dropSnapshot = (database: CairnDatabase, id: string): Promise<void> =>
  database.snapshots.delete(id).catch(() => undefined);

/** True where two states say the same of an outing. */
export const saySame = (a: OutingState, b: OutingState): boolean =>
  equal(
    [a.document, a.number, a.changedAt, a.discarded, a.undoable, a.redoable],
    [b.document, b.number, b.changedAt, b.discarded, b.undoable, b.redoable],
  );
