import Dexie from 'dexie';
import { replayCount, NO_COUNT, type Count, type CountLine, type CountRecord } from './count';
import { inTime, openingFault, type CairnDatabase } from './database';
import { KeptLog, onStoreTaken } from './kept-log';
import { isClash, storeFault, type StoreFault } from './store-fault';

/** What a view may know of a count. */
export type CountState =
  | { readonly status: 'loading' }
  | { readonly status: 'unavailable'; readonly fault: StoreFault }
  | { readonly status: 'ready'; readonly count: Count };

/** Each clash means another tab's tap; after this many in a row something else is wrong. */
const MOST_TRIES = 64;
/** Where tabs say that a count has grown. */
const CHANNEL = 'cairn-back-counts';
/** Until a store that could not be read is tried again. */
const RETRY_MS = 2000;

/**
 * One count in progress, in one tab. A tap shows after it is durable; faster taps wait in a queue,
 * and none is dropped. A tap that clashes with one of another tab is written after it.
 */
export class CountSession {
  private state: CountState = { status: 'loading' };
  private count: Count = NO_COUNT;
  private readonly listeners = new Set<() => void>();
  private queue: Promise<unknown> = Promise.resolve();
  private opened = false;
  private channel: BroadcastChannel | null = null;
  private readonly log: KeptLog<CountRecord>;

  constructor(
    private readonly database: CairnDatabase,
    private readonly id: string,
    private readonly now: () => Date = () => new Date(),
  ) {
    this.log = new KeptLog<CountRecord>(database, database.counts, id);
  }

  readonly getState = (): CountState => this.state;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    const readOn = () => void this.readOn();
    globalThis.document?.addEventListener('visibilitychange', readOn);
    const stopWatching = onStoreTaken(this.database, readOn);
    const channel = new BroadcastChannel(CHANNEL);
    channel.addEventListener('message', ({ data }) => data === this.id && readOn());
    this.channel = channel;
    readOn();
    return () => {
      this.listeners.delete(listener);
      channel.close();
      if (this.channel === channel) this.channel = null;
      stopWatching();
      globalThis.document?.removeEventListener('visibilitychange', readOn);
    };
  };

  /** Stores a record; resolves to null when it is durable, else to why it isn't. */
  readonly add = (line: CountLine): Promise<StoreFault | null> => {
    const written = this.queue.then(() => this.write(line));
    this.queue = written;
    return written;
  };

  /**
   * The count with every tap of this tab, also those that are still being written; null where
   * another tab has gone on with it meanwhile, or where the store can't be read.
   */
  readonly settled = async (): Promise<Count | null> => {
    await this.queue;
    if (!this.opened) await this.readOn();
    const { count } = this;
    await this.readOn();
    return this.state.status === 'ready' && this.count.number === count.number ? count : null;
  };

  private show(state: CountState): void {
    this.state = state;
    for (const listener of this.listeners) listener();
  }

  private async readOn(): Promise<void> {
    const fault = await openingFault(this.database);
    if (fault) return this.failed(fault);
    try {
      await this.log.restore();
      const records = await this.recordsAfter(this.count.number);
      if (records.length === 0 && this.opened && this.state.status === 'ready') return;
      this.take(records);
    } catch (error) {
      this.failed(storeFault(error));
    }
  }

  /** Says why the count can't be read, and tries again while someone looks at it. */
  private failed(fault: StoreFault): void {
    this.show({ status: 'unavailable', fault });
    if (this.listeners.size > 0) setTimeout(() => void this.readOn(), RETRY_MS);
  }

  private recordsAfter(number: number) {
    return this.database.counts
      .where('[count+number]')
      .between([this.id, number + 1], [this.id, Dexie.maxKey])
      .toArray();
  }

  private take(records: readonly CountRecord[]): void {
    this.opened = true;
    this.log.take(records);
    this.count = replayCount(this.count, records);
    this.show({ status: 'ready', count: this.count });
  }

  private async write(line: CountLine): Promise<StoreFault | null> {
    try {
      if (!this.opened) this.take(await this.recordsAfter(-1));
      for (let tries = 0; tries < MOST_TRIES; tries++) {
        const number = this.count.number + 1;
        const record = { count: this.id, number, at: this.now().toISOString(), line };
        try {
          await inTime(this.log.add(record));
        } catch (error) {
          if (!isClash(error)) throw error;
          this.take(await this.recordsAfter(this.count.number));
          continue;
        }
        this.take([record]);
        this.channel?.postMessage(this.id);
        return null;
      }
      return 'blocked';
    } catch (error) {
      return storeFault(error);
    }
  }
}
