import Dexie, { type Table } from 'dexie';
import { inTime, type CairnDatabase } from './database';
import type { Kept } from './kept-choice';
import { KeptLog, onStoreTaken } from './kept-log';
import { isClash, type StoreFault } from './store-fault';

/** Tabs that keep clashing are few and quick; after this many tries something else is wrong. */
const MOST_TRIES = 64;

/** Does what resolves to null while another tab is quicker, again on the newer state. */
export async function againstOtherTabs<Outcome>(
  once: () => Promise<Outcome | null>,
): Promise<Outcome | 'blocked'> {
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const outcome = await once();
    if (outcome !== null) return outcome;
  }
  return 'blocked';
}

/** True once written; false where another tab wrote this number first. */
export async function unlessClash(written: Promise<unknown>): Promise<boolean> {
  try {
    await inTime(written);
    return true;
  } catch (error) {
    if (!isClash(error)) throw error;
    return false;
  }
}

/** Which change log, or count, a session follows. */
export interface FollowedLog<Stored> {
  readonly table: Table<Stored, [string, number]>;
  /** The name of the id in its records: the records of an id are numbered from 0 without gaps. */
  readonly name: string;
  readonly id: string;
  /** Where tabs tell each other that it has grown. */
  readonly channel: string;
}

/**
 * One log, open in one tab: follows what this tab and others add, and adds to it. A record is
 * confirmed only after its transaction is complete with strict durability.
 */
export abstract class LogSession<Stored extends { readonly number: number }, State> {
  protected readonly log: KeptLog<Stored>;
  private readonly listeners = new Set<() => void>();
  private channel: BroadcastChannel | null = null;
  private stopFollowing: (() => void) | null = null;
  private queue: Promise<unknown> = Promise.resolve();

  constructor(
    protected readonly database: CairnDatabase,
    private readonly followed: FollowedLog<Stored>,
    private state: State,
    protected readonly now: () => Date,
  ) {
    this.log = new KeptLog(database, followed.table, followed.id);
  }

  /** Reads what was added since, and shows it. */
  protected abstract readOn(): Promise<void>;
  /** Takes note of records that are in the store. */
  protected abstract take(records: readonly Stored[]): void;

  readonly getState = (): State => this.state;

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
   * Reads the log, and reads on whenever another tab has written. A live query would do the same,
   * but it reads again after each of our own writes, which made a write several times longer.
   */
  private follow(): () => void {
    const readOn = () => void this.readOn();
    const stopWatching = onStoreTaken(this.database, readOn);
    const channel = new BroadcastChannel(this.followed.channel);
    channel.addEventListener('message', ({ data }) => data === this.followed.id && readOn());
    this.channel = channel;
    // A tab that slept may have missed a message.
    globalThis.document?.addEventListener('visibilitychange', readOn);
    readOn();
    return () => {
      channel.close();
      this.channel = null;
      globalThis.document?.removeEventListener('visibilitychange', readOn);
      stopWatching();
    };
  }

  protected get isFollowed(): boolean {
    return this.listeners.size > 0;
  }

  protected show(state: State): void {
    this.state = state;
    for (const listener of this.listeners) listener();
  }

  protected recordsAfter(number: number): Promise<Stored[]> {
    const { table, name, id } = this.followed;
    return table
      .where(`[${name}+number]`)
      .between([id, number + 1], [id, Dexie.maxKey])
      .toArray();
  }

  /** Does one thing after another, in the order in which they were asked for. */
  protected enqueue<Outcome>(work: () => Promise<Outcome>): Promise<Outcome> {
    const outcome = this.queue.then(work);
    this.queue = outcome;
    return outcome;
  }

  /** Resolves when all that was asked for is done. */
  protected async settledQueue(): Promise<void> {
    await this.queue;
  }

  /** Adds the record that `make` makes of the newest state; null for nothing to add. */
  protected async append(
    make: () => Stored | null,
    kept: Kept | null = null,
  ): Promise<StoreFault | null> {
    const outcome = await againstOtherTabs(async () => {
      const record = make();
      if (!record) return 'nothing';
      if (!(await unlessClash(this.log.add(record, kept)))) {
        this.take(await this.recordsAfter(record.number - 1));
        return null;
      }
      this.take([record]);
      this.channel?.postMessage(this.followed.id);
      return 'added';
    });
    return outcome === 'blocked' ? outcome : null;
  }
}
