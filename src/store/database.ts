import { DATABASE_NEWER } from '../ui/version/protocol';
import Dexie, { type EntityTable, type Table } from 'dexie';
import type { ChangeRecord } from './change';
import type { DocumentTable } from './documents/change';
import type { KnownPlace } from '../core/model/known-place';
import type { MapPicture } from '../core/model/map-picture';
import type { PaceProfile } from '../core/model/pace-profile';
import type { Attempt } from '../core/practice/attempt';
import type { Course, CourseResults } from '../core/practice/course';
import type { KeptWalk } from '../core/practice/walk/kept-walk';
import type { CountRecord } from './count';
import type { HeightSheet, HeightTile } from './heights/record';
import { agreeOnKept, type Kept } from './kept-choice';
import type { Snapshot } from './snapshots/record';
import { storeFault, type StoreFault } from './store-fault';

/** The version of the schema below; a database with a higher one was written by a newer app. */
export const SCHEMA_VERSION = 10;

/** A daily copy of all outings, as the text of a logbook file. */
export interface DailyCopy {
  /** YYYY-MM-DD on the device's calendar. */
  readonly day: string;
  readonly at: string;
  readonly outings: number;
  readonly text: string;
}

/** When something was last done that the app reminds of, and how many changes there were. */
export interface Mark {
  readonly name: 'backup';
  readonly at: string;
  readonly changes: number;
  /** Of what changes in its place; marks of older versions have none. */
  readonly digest?: string;
}

/**
 * The pixels of a map's picture as a file, and a small one for lists. As bytes: some browsers
 * refuse to store files as such. Older versions did, and what they stored is still read.
 */
export interface PictureFile {
  readonly id: string;
  readonly blob: StoredFile | Blob;
  readonly thumbnail: StoredFile | Blob;
}

/** A file as it is stored: its bytes, and what they are. */
export interface StoredFile {
  readonly type: string;
  readonly bytes: ArrayBuffer;
}

/** Results of a course that a learner handed back. */
export interface KeptResults extends CourseResults {
  readonly id: string;
}

/** The app's database: change logs, counts, profiles, copies, pictures, practice, what is kept. */
export class CairnDatabase extends Dexie {
  declare readonly changes: Table<ChangeRecord, [string, number]> & EntityTable<ChangeRecord>;
  declare readonly counts: Table<CountRecord, [string, number]> & EntityTable<CountRecord>;
  declare readonly profiles: Table<PaceProfile, string>;
  declare readonly copies: Table<DailyCopy, string>;
  declare readonly marks: Table<Mark, string>;
  declare readonly areas: DocumentTable;
  declare readonly routes: DocumentTable;
  declare readonly snapshots: Table<Snapshot, string>;
  declare readonly knownPlaces: Table<KnownPlace, string>;
  declare readonly pictures: Table<MapPicture, string>;
  declare readonly pictureFiles: Table<PictureFile, string>;
  declare readonly attempts: Table<Attempt, string>;
  declare readonly courses: Table<Course, string>;
  declare readonly courseResults: Table<KeptResults, string>;
  declare readonly blindWalks: Table<KeptWalk, string>;
  declare readonly kept: Table<Kept, string>;
  declare readonly places: DocumentTable;
  declare readonly heightSheets: Table<HeightSheet, string>;
  declare readonly heightTiles: Table<HeightTile, [string, number]>;

  /** Transactions that are not complete yet, and who waits until there are none. */
  private working = 0;
  private readonly waiting = new Set<() => void>();

  /** `gate` is asked before the database is opened: it rejects where it must not be yet. */
  constructor(
    name = 'cairn-back',
    private readonly gate?: () => Promise<void>,
  ) {
    // Strict: a transaction is complete only when its data are on the disk, not in a buffer.
    // Without a cache: with it, a live query shows what is still being written.
    super(name, { chromeTransactionDurability: 'strict', cache: 'disabled' });
    // Every released version stays listed, so that a database of any of them is upgraded. No table
    // ever goes away: an older app would add it to a newer database and so raise its version.
    this.version(1).stores({ changes: '[outing+number]' });
    this.version(2).stores({ counts: '[count+number]', profiles: 'id' });
    this.version(3).stores({ copies: 'day', marks: 'name' });
    this.version(4).stores({ snapshots: 'outing' });
    this.version(5).stores({ areas: '[area+number]' });
    this.version(6).stores({ knownPlaces: 'id' });
    this.version(7).stores({ routes: '[route+number]', pictures: 'id', pictureFiles: 'id' });
    this.version(8).stores({
      attempts: 'id',
      courses: 'id',
      courseResults: 'id',
      blindWalks: 'outing',
    });
    this.version(9)
      .stores({ kept: 'key', places: '[place+number]' })
      .upgrade(async (transaction) => {
        // Known places have change logs since this version; the table of records stays empty.
        const records = await transaction.table<KnownPlace>('knownPlaces').toArray();
        const at = new Date().toISOString();
        await transaction.table('places').bulkAdd(
          records.map((place) => ({
            place: place.id,
            number: 0,
            at,
            change: { kind: 'create', place },
          })),
        );
        await transaction.table('knownPlaces').clear();
      });
    this.version(SCHEMA_VERSION).stores({ heightSheets: 'id', heightTiles: '[sheet+tile]' });
    this.countWork();
    // Dexie would open a newer app's database and write what that app may not understand.
    this.on('ready', (opened) => {
      // Dexie counts a version as ten of the browser's.
      const version = (opened as CairnDatabase).backendDB().version / 10;
      if (version > SCHEMA_VERSION) {
        throw new Dexie.VersionError(`version ${version} is newer than ${SCHEMA_VERSION}`);
      }
      // On a full disk the copies can't be written; the logs are there to be read all the same.
      return agreeOnKept((opened as CairnDatabase).kept).catch(() => undefined);
    });
  }

  override open(): ReturnType<Dexie['open']> {
    if (this.isOpen()) return super.open();
    const open = this.gate
      ? Dexie.Promise.resolve(this.gate()).then(
          () => super.open(),
          (error: unknown) => {
            // What waits for the database must not wait for ever.
            this.close();
            throw error;
          },
        )
      : super.open();
    return open.catch(Dexie.VersionError, (error: unknown) => {
      globalThis.dispatchEvent?.(new Event(DATABASE_NEWER));
      throw error;
    });
  }

  /** Counts transactions, so that a page is left with none open. */
  private countWork(): void {
    this.use({
      stack: 'dbcore',
      name: 'working',
      create: (core) => ({
        ...core,
        transaction: (tables, mode, options) => {
          const transaction = core.transaction(tables, mode, options);
          this.watch(transaction as unknown as IDBTransaction);
          return transaction;
        },
      }),
    });
  }

  private watch(transaction: IDBTransaction): void {
    this.working++;
    const ended = () => {
      this.working--;
      if (this.working === 0) for (const go of this.waiting) go();
    };
    transaction.addEventListener('complete', ended, { once: true });
    transaction.addEventListener('abort', ended, { once: true });
  }

  /** Resolves once no transaction is open; or after a while, since a page has to be left. */
  async idle(longestMs = LONGEST_IDLE_MS): Promise<void> {
    if (this.working === 0) return;
    await new Promise<void>((resolve) => {
      const go = () => {
        clearTimeout(timer);
        this.waiting.delete(go);
        resolve();
      };
      const timer = setTimeout(go, longestMs);
      this.waiting.add(go);
    });
  }
}

const LONGEST_IDLE_MS = 2000;

/** A store that has not answered by then won't: some browsers leave a transaction hanging. */
const LONGEST_ANSWER_MS = 10_000;

/** Thrown for a store that does not answer. */
class SilentError extends Error {
  override readonly name = 'SilentError';
}

/** Work of the store that has to be done in time; rejects where the store does not answer. */
export async function inTime<Value>(
  work: PromiseLike<Value>,
  longestMs = LONGEST_ANSWER_MS,
): Promise<Value> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new SilentError('the store does not answer')), longestMs);
  });
  try {
    return await Promise.race([work, late]);
  } finally {
    clearTimeout(timer);
  }
}

/**
 * Opens the database; resolves to why it can't be opened, or null. Ask before a live query, which
 * says nothing about a database that never opened.
 */
export async function openingFault(
  database: CairnDatabase,
  longestMs = LONGEST_ANSWER_MS,
): Promise<StoreFault | null> {
  try {
    await inTime(database.open(), longestMs);
    return null;
  } catch (error) {
    const fault = storeFault(error);
    return fault === 'failed' ? 'unavailable' : fault;
  }
}
