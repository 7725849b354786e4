import Dexie from 'dexie';
import { followCount, NO_COUNT, type Count, type CountLine } from './count';
import { openingFault, type CairnDatabase } from './database';
import { isClash, storeFault, type StoreFault } from './store-fault';

/** What a view may know of a count. */
export type CountState =
  | { readonly status: 'loading' }
  | { readonly status: 'unavailable'; readonly fault: StoreFault }
  | { readonly status: 'ready'; readonly count: Count };

/** Each clash means that another tab got a tap in; after this many in a row something else is wrong. */
const MOST_TRIES = 64;

/**
 * One count under way, in one tab. A tap shows after it is durable; taps that come faster wait in line, and none is
 * dropped. Another tab that counts on the same count clashes in the key; its lines are read and the tap comes after them.
 */
export class CountSession {
  private state: CountState = { status: 'loading' };
  private count: Count = NO_COUNT;
  private readonly listeners = new Set<() => void>();
  private queue: Promise<unknown> = Promise.resolve();
  private opened = false;

  constructor(
    private readonly database: CairnDatabase,
    private readonly id: string,
    private readonly now: () => Date = () => new Date(),
  ) {}

  readonly getState = (): CountState => this.state;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    const readOn = () => void this.readOn();
    globalThis.document?.addEventListener('visibilitychange', readOn);
    readOn();
    return () => {
      this.listeners.delete(listener);
      globalThis.document?.removeEventListener('visibilitychange', readOn);
    };
  };

  /** Writes a line down; resolves to null when it is durable, else to why it is not. */
  readonly add = (line: CountLine): Promise<StoreFault | null> => {
    const written = this.queue.then(() => this.write(line));
    this.queue = written;
    return written;
  };

  private show(state: CountState): void {
    this.state = state;
    for (const listener of this.listeners) listener();
  }

  private async readOn(): Promise<void> {
    const fault = await openingFault(this.database);
    if (fault) return this.show({ status: 'unavailable', fault });
    try {
      const records = await this.recordsAfter(this.count.number);
      if (records.length === 0 && this.opened) return;
      this.take(records);
    } catch (error) {
      this.show({ status: 'unavailable', fault: storeFault(error) });
    }
  }

  private recordsAfter(number: number) {
    return this.database.counts
      .where('[count+number]')
      .between([this.id, number + 1], [this.id, Dexie.maxKey])
      .toArray();
  }

  private take(records: readonly unknown[]): void {
    this.opened = true;
    this.count = followCount(this.count, records);
    this.show({ status: 'ready', count: this.count });
  }

  private async write(line: CountLine): Promise<StoreFault | null> {
    try {
      if (!this.opened) this.take(await this.recordsAfter(-1));
      for (let tries = 0; tries < MOST_TRIES; tries++) {
        const number = this.count.number + 1;
        const record = { count: this.id, number, at: this.now().toISOString(), line };
        try {
          await this.database.counts.add(record);
        } catch (error) {
          if (!isClash(error)) throw error;
          this.take(await this.recordsAfter(this.count.number));
          continue;
        }
        this.take([record]);
        return null;
      }
      return 'blocked';
    } catch (error) {
      return storeFault(error);
    }
  }
}
