import type { ChangeRecord } from '../change';
import type { CairnDatabase } from '../database';
import type { OutingState } from '../replay';
import { keepSnapshots, LEAST_CHANGES, snapshotOf } from './snapshot';

/** A snapshot is written when nothing has been changed for this long. */
const QUIET_MS = 3000;

/** Keeps snapshots of an outing that is open, now and then as its change log grows. */
export class SnapshotKeeper {
  private newest: { readonly last: ChangeRecord; readonly state: OutingState } | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly database: CairnDatabase,
    /** The number of the newest change that a snapshot is known of; -1 for none. */
    private kept = -1,
  ) {}

  /** Takes note that there is a snapshot of this change. */
  has(number: number): void {
    this.kept = number;
  }

  /** Keeps the state after a change, once it is quiet, if there is enough new in it. */
  later(last: ChangeRecord | undefined, state: OutingState): void {
    if (!last || last.number !== state.number) return;
    this.newest = { last, state };
    clearTimeout(this.timer);
    if (state.number - this.kept < LEAST_CHANGES) return;
    this.timer = setTimeout(() => void this.keep(), QUIET_MS);
  }

  private async keep(): Promise<void> {
    if (!this.newest) return;
    const { last, state } = this.newest;
    this.kept = state.number;
    await keepSnapshots(this.database, [snapshotOf(last, state)]);
  }
}
