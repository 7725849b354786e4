import { replayCount, NO_COUNT, type Count, type CountLine, type CountRecord } from './count';
import { openingFault, type CairnDatabase } from './database';
import { LogSession } from './log-session';
import { storeFault, type StoreFault } from './store-fault';

/** What a view may know of a count. */
export type CountState =
  | { readonly status: 'loading' }
  | { readonly status: 'unavailable'; readonly fault: StoreFault }
  | { readonly status: 'ready'; readonly count: Count };

/** Where tabs say that a count has grown. */
const CHANNEL = 'cairn-back-counts';
/** Until a store that could not be read is tried again. */
const RETRY_MS = 2000;

/**
 * One count in progress, in one tab. A tap shows after it is durable; faster taps wait in a queue,
 * and none is dropped. A tap that clashes with one of another tab is written after it.
 */
export class CountSession extends LogSession<CountRecord, CountState> {
  private count: Count = NO_COUNT;
  private opened = false;

  constructor(
    database: CairnDatabase,
    private readonly id: string,
    now: () => Date = () => new Date(),
  ) {
    const followed = { table: database.counts, name: 'count', id, channel: CHANNEL };
    super(database, followed, { status: 'loading' }, now);
  }

  /** Stores a record; resolves to null when it is durable, else to why it isn't. */
  readonly add = (line: CountLine): Promise<StoreFault | null> =>
    this.enqueue(() => this.write(line));

  /**
   * The count with every tap of this tab, also those that are still being written; null where
   * another tab has gone on with it meanwhile, or where the store can't be read.
   */
  readonly settled = async (): Promise<Count | null> => {
    await this.settledQueue();
    if (!this.opened) await this.readOn();
    const { count } = this;
    await this.readOn();
    return this.getState().status === 'ready' && this.count.number === count.number ? count : null;
  };

  protected async readOn(): Promise<void> {
    const fault = await openingFault(this.database);
    if (fault) return this.failed(fault);
    try {
      await this.log.restore();
      const records = await this.recordsAfter(this.count.number);
      if (records.length === 0 && this.opened && this.getState().status === 'ready') return;
      this.take(records);
    } catch (error) {
      this.failed(storeFault(error));
    }
  }

  /** Says why the count can't be read, and tries again while someone looks at it. */
  private failed(fault: StoreFault): void {
    this.show({ status: 'unavailable', fault });
    if (this.isFollowed) setTimeout(() => void this.readOn(), RETRY_MS);
  }

  protected take(records: readonly CountRecord[]): void {
    this.opened = true;
    this.log.take(records);
    this.count = replayCount(this.count, records);
    this.show({ status: 'ready', count: this.count });
  }

  private async write(line: CountLine): Promise<StoreFault | null> {
    try {
      if (!this.opened) this.take(await this.recordsAfter(-1));
      return await this.append(() => ({
        count: this.id,
        number: this.count.number + 1,
        at: this.now().toISOString(),
        line,
      }));
    } catch (error) {
      return storeFault(error);
    }
  }
}
