import { apply, inverse, type Operation } from '../core/edit/operations';
import type { Outing } from '../core/model/outing';
import { changeSchema } from './change';
import {
  replayLog,
  type Kind,
  type LogDamage,
  type LogReplayed,
  type LogState,
} from './change-log';

/** An outing by its change log so far. */
export type OutingState = LogState<Outing, readonly Operation[]>;
export type Damage = LogDamage<OutingState>;
export type Replayed = LogReplayed<OutingState>;

/** An outing's edits are operations, which can be reversed. */
const OUTING: Kind<Outing, readonly Operation[]> = {
  read(stored) {
    const parsed = changeSchema.safeParse(stored);
    if (!parsed.success) return null;
    const { number, at, change } = parsed.data;
    switch (change.kind) {
      case 'create':
        return { number, at, change: { kind: 'create', document: change.outing } };
      case 'edit':
        return { number, at, change: { kind: 'edit', edit: change.operations } };
      default:
        return { number, at, change };
    }
  },
  apply(outing, operations) {
    const after = apply(outing, operations);
    return after.ok ? after.value : null;
  },
  reversed: inverse,
};

/** Replays the records of an outing from a state on (null: from the beginning). */
export const replay = (from: OutingState | null, records: readonly unknown[]): Replayed =>
  replayLog(OUTING, from, records);
