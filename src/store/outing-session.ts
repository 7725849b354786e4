import { faultOf, type Command } from '../core/edit/command';
import type { Fault } from '../core/faults/fault';
import type { EarthModels } from '../core/north/earth-models';
import type { Change, ChangeRecord } from './change';
import { stepOf } from './change-log';
import { openingFault, type CairnDatabase } from './database';
import type { Kept } from './kept-choice';
import { LogSession } from './log-session';
import { replay, type Damage, type OutingState } from './replay';
import { checkAgainst } from './snapshots/checking';
import { SnapshotKeeper } from './snapshots/keeper';
import { dropSnapshot, keptSnapshot } from './snapshots/snapshot';
import { storeFault, type StoreFault } from './store-fault';

/** What a view may know of an outing that is open. */
export type SessionState =
  | { readonly status: 'loading' }
  | { readonly status: 'missing' }
  | { readonly status: 'unavailable'; readonly fault: StoreFault }
  | { readonly status: 'damaged'; readonly damage: Damage }
  | {
      readonly status: 'ready';
      readonly state: OutingState;
      /** True once the store was found without this outing, and has it again from this tab. */
      readonly rewritten: boolean;
    };

/** How a change ended: durable, refused by the outing, or not written by the store. */
export type Outcome =
  | { readonly kind: 'saved' }
  | { readonly kind: 'refused'; readonly fault: Fault }
  | { readonly kind: 'unsaved'; readonly fault: StoreFault };

/** What a change is made of: the change, why it is refused, or null for nothing to do. */
type MakeChange = (state: OutingState) => Change | Fault | null;

/** Where tabs tell each other that a change log has grown. */
const CHANNEL = 'cairn-back-journals';

/**
 * One outing, open in one tab. Nothing is built on a snapshot of its change log until it is checked
 * against the whole of it.
 */
export class OutingSession extends LogSession<ChangeRecord, SessionState> {
  private current: OutingState | null = null;
  private readonly snapshots: SnapshotKeeper;
  /** Resolves once a snapshot was looked for, and what it holds is shown. */
  private opened: Promise<void> | null = null;
  /** Resolves once that has been compared with the whole change log. */
  private checked: Promise<void> | null = null;

  constructor(
    database: CairnDatabase,
    private readonly id: string,
    now: () => Date = () => new Date(),
  ) {
    const followed = { table: database.changes, name: 'outing', id, channel: CHANNEL };
    super(database, followed, { status: 'loading' }, now);
    this.snapshots = new SnapshotKeeper(database);
  }

  protected async readOn(): Promise<void> {
    const fault = await openingFault(this.database);
    if (fault) return this.show({ status: 'unavailable', fault });
    try {
      await this.restore();
      this.opened ??= this.openSnapshot();
      await this.opened;
      await this.checked;
      this.take(await this.recordsAfter(this.current?.number ?? -1));
    } catch (error) {
      this.show({ status: 'unavailable', fault: storeFault(error) });
    }
  }

  /**
   * Shows what a snapshot and the changes after it come to, where there is one. Nothing is built on
   * it until it is checked.
   */
  private async openSnapshot(): Promise<void> {
    const kept = await keptSnapshot(this.database, this.id);
    if (!kept) return;
    const { state, damage } = replay(kept.state, await this.recordsAfter(kept.state.number));
    if (this.current) return;
    this.snapshots.has(kept.state.number);
    // What undoes an edit from before the snapshot needs the whole log.
    if (state && !damage) this.show(this.ready(state));
    this.checked = this.check(kept.state, state ?? kept.state);
  }

  private async check(snapshot: OutingState, shown: OutingState): Promise<void> {
    const records = await this.recordsAfter(-1);
    const { state, damage, isTrue } = await checkAgainst(snapshot, shown, records);
    if (!isTrue) await dropSnapshot(this.database, this.id);
    if (this.current) return;
    this.current = state;
    this.log.take(records);
    if (damage) this.show({ status: 'damaged', damage });
    else this.show(state ? this.ready(state) : { status: 'missing' });
  }

  /**
   * Runs a command on the newest state and records it; changes are written one after another.
   * `kept` is written with it: what was typed is forgotten exactly if it was logged.
   */
  readonly run = (
    command: Command,
    models: EarthModels | null,
    kept: Kept | null = null,
  ): Promise<Outcome> =>
    this.change(({ document: outing }) => {
      const operations = command(outing, models);
      if (!operations.ok) return faultOf(operations.fault);
      // Nothing to change is nothing to write.
      if (operations.value.length === 0) return null;
      return { kind: 'edit', operations: operations.value };
    }, kept);

  readonly undo = (): Promise<Outcome> => this.change((state) => stepOf('undo', state));
  readonly redo = (): Promise<Outcome> => this.change((state) => stepOf('redo', state));

  /** All changes ever made to the outing, the oldest first. */
  readonly history = (): Promise<ChangeRecord[]> => this.recordsAfter(-1);

  protected take(records: readonly ChangeRecord[]): void {
    const fresh = records.filter((record) => !(record.number <= (this.current?.number ?? -1)));
    if (fresh.length === 0 && this.getState().status === 'ready') return;
    const { state, damage } = replay(this.current, fresh);
    this.current = state;
    this.log.take(fresh);
    if (state && !damage) this.snapshots.later(fresh.at(-1), state);
    if (damage) this.show({ status: 'damaged', damage });
    else this.show(state ? this.ready(state) : { status: 'missing' });
  }

  private ready(state: OutingState): SessionState {
    return { status: 'ready', state, rewritten: this.log.rewritten };
  }

  /** Writes the change log again if the browser emptied its store, and says so. */
  private async restore(): Promise<void> {
    const before = this.log.rewritten;
    await this.log.restore();
    if (this.log.rewritten !== before && this.current) this.show(this.ready(this.current));
  }

  private change(make: MakeChange, kept: Kept | null = null): Promise<Outcome> {
    return this.enqueue(() => this.write(make, kept));
  }

  private async write(make: MakeChange, kept: Kept | null): Promise<Outcome> {
    let outcome: Outcome = { kind: 'saved' };
    const record = (): ChangeRecord | null => {
      if (!this.current) outcome = { kind: 'unsaved', fault: 'failed' };
      const change = this.current && make(this.current);
      if (!this.current || change === null) return null;
      if ('code' in change) {
        outcome = { kind: 'refused', fault: change };
        return null;
      }
      const number = this.current.number + 1;
      return { outing: this.id, number, at: this.now().toISOString(), change };
    };
    try {
      await this.checked;
      if (!this.current) this.take(await this.recordsAfter(-1));
      const fault = await this.append(record, kept);
      return fault ? { kind: 'unsaved', fault } : outcome;
    } catch (error) {
      return { kind: 'unsaved', fault: storeFault(error) };
    }
  }
}
