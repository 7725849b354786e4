import Dexie from 'dexie';
import { faultOf, type Command } from '../core/edit/command';
import type { Fault } from '../core/faults/fault';
import type { EarthModels } from '../core/north/earth-models';
import type { Change, ChangeRecord } from './change';
import { inTime, openingFault, type CairnDatabase } from './database';
import type { Kept } from './kept-choice';
import { KeptLog, onStoreTaken } from './kept-log';
import { replay, type Damage, type OutingState } from './replay';
import { checkAgainst } from './snapshots/checking';
import { SnapshotKeeper } from './snapshots/keeper';
import { dropSnapshot, keptSnapshot } from './snapshots/snapshot';
import { isClash, storeFault, type StoreFault } from './store-fault';

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

/** Tabs that keep clashing are few and quick; after this many tries something else is wrong. */
const MOST_TRIES = 64;

/**
 * One outing, open in one tab: follows its change log, and adds to it. A change
 * is confirmed only after its transaction is complete with strict durability.
 */
export class OutingSession {
  private session: SessionState = { status: 'loading' };
  private current: OutingState | null = null;
  private readonly log: KeptLog<ChangeRecord>;
  private readonly listeners = new Set<() => void>();
  private channel: BroadcastChannel | null = null;
  private stopFollowing: (() => void) | null = null;
  private queue: Promise<unknown> = Promise.resolve();
  private readonly snapshots: SnapshotKeeper;
  /** Resolves once a snapshot was looked for, and what it holds is shown. */
  private opened: Promise<void> | null = null;
  /** Resolves once that has been compared with the whole change log. */
  private checked: Promise<void> | null = null;

  constructor(
    private readonly database: CairnDatabase,
    private readonly id: string,
    private readonly now: () => Date = () => new Date(),
  ) {
    this.log = new KeptLog<ChangeRecord>(database, database.changes, id);
    this.snapshots = new SnapshotKeeper(database);
  }

  readonly getState = (): SessionState => this.session;

  /** Calls back on every change, of this tab or another, until the returned function is called. */
  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    this.stopFollowing ??= this.follow();
    return () => {
      this.listeners.delete(listener);
      if (this.listeners.size > 0) return;
      this.stopFollowing?.();
      this.stopFollowing = null;
    };
  };

  /**
   * Reads the change log, and reads on whenever another tab has written. A live query would do the
   * same, but it reads again after each of our own writes, which made a write several times longer.
   */
  private follow(): () => void {
    const readOn = () => void this.readOn();
    const stopWatching = onStoreTaken(this.database, readOn);
    this.channel = new BroadcastChannel(CHANNEL);
    this.channel.addEventListener('message', readOn);
    // A tab that slept may have missed a message.
    globalThis.document?.addEventListener('visibilitychange', readOn);
    readOn();
    return () => {
      this.channel?.close();
      this.channel = null;
      globalThis.document?.removeEventListener('visibilitychange', readOn);
      stopWatching();
    };
  }

  private async readOn(): Promise<void> {
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
    this.enqueue(({ outing }) => {
      const operations = command(outing, models);
      if (!operations.ok) return faultOf(operations.fault);
      // Nothing to change is nothing to write.
      if (operations.value.length === 0) return null;
      return { kind: 'edit', operations: operations.value };
    }, kept);

  readonly undo = (): Promise<Outcome> => this.enqueue(({ undoable }) => step('undo', undoable));
  readonly redo = (): Promise<Outcome> => this.enqueue(({ redoable }) => step('redo', redoable));

  /** All changes ever made to the outing, the oldest first. */
  readonly history = (): Promise<ChangeRecord[]> => this.recordsAfter(-1);

  private recordsAfter(number: number): Promise<ChangeRecord[]> {
    return this.database.changes
      .where('[outing+number]')
      .between([this.id, number + 1], [this.id, Dexie.maxKey])
      .toArray();
  }

  private show(session: SessionState): void {
    this.session = session;
    for (const listener of this.listeners) listener();
  }

  private take(records: readonly ChangeRecord[]): void {
    const fresh = records.filter((record) => !(record.number <= (this.current?.number ?? -1)));
    if (fresh.length === 0 && this.session.status === 'ready') return;
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

  private enqueue(make: MakeChange, kept: Kept | null = null): Promise<Outcome> {
    const outcome = this.queue.then(() => this.write(make, kept));
    this.queue = outcome;
    return outcome;
  }

  private async write(make: MakeChange, kept: Kept | null): Promise<Outcome> {
    try {
      await this.checked;
      if (!this.current) this.take(await this.recordsAfter(-1));
      for (let tries = 0; tries < MOST_TRIES; tries++) {
        if (!this.current) return { kind: 'unsaved', fault: 'failed' };
        const change = make(this.current);
        if (change === null) return { kind: 'saved' };
        if ('code' in change) return { kind: 'refused', fault: change };
        if (await this.add(change, this.current.number + 1, kept)) return { kind: 'saved' };
      }
      return { kind: 'unsaved', fault: 'blocked' };
    } catch (error) {
      return { kind: 'unsaved', fault: storeFault(error) };
    }
  }

  /**
   * Writes one record; false when another tab wrote this number first. Then its records are read,
   * and the change has to be made again on the newer state.
   */
  private async add(change: Change, number: number, kept: Kept | null): Promise<boolean> {
    const record: ChangeRecord = { outing: this.id, number, at: this.now().toISOString(), change };
    try {
      await inTime(this.log.add(record, kept));
    } catch (error) {
      if (!isClash(error)) throw error;
      this.take(await this.recordsAfter(number - 1));
      return false;
    }
    this.take([record]);
    this.channel?.postMessage(this.id);
    return true;
  }
}

function step(kind: 'undo' | 'redo', stack: readonly number[]): Change | null {
  const of = stack.at(-1);
  return of === undefined ? null : { kind, of };
}
