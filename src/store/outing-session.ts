import Dexie from 'dexie';
import type { EarthModels } from '../core/earth-models';
import type { Command } from '../core/edit/command';
import { faultOf } from '../core/edit/command';
import type { Fault } from '../core/faults';
import type { Change, ChangeRecord } from './change';
import { openingFault, type CairnDatabase } from './database';
import { follow, type Damage, type Page } from './journal';
import { isClash, storeFault, type StoreFault } from './store-fault';

/** What a view may know of an outing that is open. */
export type SessionState =
  | { readonly status: 'loading' }
  | { readonly status: 'missing' }
  | { readonly status: 'unavailable'; readonly fault: StoreFault }
  | { readonly status: 'damaged'; readonly damage: Damage }
  | { readonly status: 'ready'; readonly page: Page };

/** How a change ended: written down and durable, refused by the page, or not written by the store. */
export type Outcome =
  | { readonly kind: 'saved' }
  | { readonly kind: 'refused'; readonly fault: Fault }
  | { readonly kind: 'unsaved'; readonly fault: StoreFault };

/** Where tabs tell each other that a journal has grown. */
const CHANNEL = 'cairn-back-journals';

/** Tabs that keep clashing are few and quick; after this many tries something else is wrong. */
const MOST_TRIES = 8;

/**
 * One outing, open in one tab: follows its journal, whoever writes it, and adds to it. A change is reported
 * saved only after its transaction is complete with strict durability.
 */
export class OutingSession {
  private state: SessionState = { status: 'loading' };
  private page: Page | null = null;
  private readonly listeners = new Set<() => void>();
  private channel: BroadcastChannel | null = null;
  private stopFollowing: (() => void) | null = null;
  private queue: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly database: CairnDatabase,
    private readonly id: string,
    private readonly now: () => Date = () => new Date(),
  ) {}

  readonly getState = (): SessionState => this.state;

  /** Calls back on every change, from this tab or another, until the returned function is called. */
  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    this.stopFollowing ??= this.followJournal();
    return () => {
      this.listeners.delete(listener);
      if (this.listeners.size > 0) return;
      this.stopFollowing?.();
      this.stopFollowing = null;
    };
  };

  /**
   * Reads the journal, and reads on whenever another tab says that it has written. A live query would do the
   * same, but it reads again after each of our own writes too, which made a write several times as long.
   */
  private followJournal(): () => void {
    const readOn = () => void this.readOn();
    this.channel = new BroadcastChannel(CHANNEL);
    this.channel.addEventListener('message', readOn);
    // A tab that slept may have missed what was said.
    globalThis.document?.addEventListener('visibilitychange', readOn);
    readOn();
    return () => {
      this.channel?.close();
      this.channel = null;
      globalThis.document?.removeEventListener('visibilitychange', readOn);
    };
  }

  private async readOn(): Promise<void> {
    const fault = await openingFault(this.database);
    if (fault) return this.show({ status: 'unavailable', fault });
    try {
      this.take(await this.recordsAfter(this.page?.number ?? -1));
    } catch (error) {
      this.show({ status: 'unavailable', fault: storeFault(error) });
    }
  }

  /** Works out a command on the newest page and writes it down; changes are written one after the other. */
  readonly run = (command: Command, models: EarthModels | null): Promise<Outcome> =>
    this.enqueue((page) => {
      const operations = command(page.outing, models);
      if (!operations.ok) return faultOf(operations.fault);
      // Nothing to change is nothing to write.
      if (operations.value.length === 0) return null;
      return { kind: 'edit', operations: operations.value };
    });

  readonly undo = (): Promise<Outcome> => this.enqueue((page) => step('undo', page.undoable));
  readonly redo = (): Promise<Outcome> => this.enqueue((page) => step('redo', page.redoable));

  /** All that was ever written of the outing, the oldest first. */
  readonly history = (): Promise<ChangeRecord[]> => this.recordsAfter(-1);

  private recordsAfter(number: number): Promise<ChangeRecord[]> {
    return this.database.changes
      .where('[outing+number]')
      .between([this.id, number + 1], [this.id, Dexie.maxKey])
      .toArray();
  }

  private show(state: SessionState): void {
    this.state = state;
    for (const listener of this.listeners) listener();
  }

  private take(records: readonly ChangeRecord[]): void {
    const fresh = records.filter((record) => !(record.number <= (this.page?.number ?? -1)));
    if (fresh.length === 0 && this.state.status === 'ready') return;
    const { page, damage } = follow(this.page, fresh);
    this.page = page;
    if (damage) this.show({ status: 'damaged', damage });
    else this.show(page ? { status: 'ready', page } : { status: 'missing' });
  }

  private enqueue(change: (page: Page) => Change | Fault | null): Promise<Outcome> {
    const outcome = this.queue.then(() => this.write(change));
    this.queue = outcome;
    return outcome;
  }

  private async write(change: (page: Page) => Change | Fault | null): Promise<Outcome> {
    try {
      if (!this.page) this.take(await this.recordsAfter(-1));
      for (let tries = 0; tries < MOST_TRIES; tries++) {
        if (!this.page) return { kind: 'unsaved', fault: 'failed' };
        const wanted = change(this.page);
        if (wanted === null) return { kind: 'saved' };
        if ('code' in wanted) return { kind: 'refused', fault: wanted };
        const record: ChangeRecord = {
          outing: this.id,
          number: this.page.number + 1,
          at: this.now().toISOString(),
          change: wanted,
        };
        try {
          await this.database.changes.add(record);
        } catch (error) {
          if (!isClash(error)) throw error;
          // Another tab wrote first: read what it wrote, and work the change out anew on that page.
          this.take(await this.recordsAfter(this.page.number));
          continue;
        }
        this.take([record]);
        this.channel?.postMessage(this.id);
        return { kind: 'saved' };
      }
      return { kind: 'unsaved', fault: 'blocked' };
    } catch (error) {
      return { kind: 'unsaved', fault: storeFault(error) };
    }
  }
}

function step(kind: 'undo' | 'redo', stack: readonly number[]): Change | null {
  const of = stack.at(-1);
  return of === undefined ? null : { kind, of };
}
