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
import { agreeOnKept, type Kept } from './kept-choice';
import type { Snapshot } from './snapshots/record';
import { storeFault, type StoreFault } from './store-fault';

/** The version of the schema below; a database with a higher one was written by a newer app. */
export const SCHEMA_VERSION = 9;

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

  constructor(name = 'cairn-back') {
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
    this.version(SCHEMA_VERSION)
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
    // Dexie would open a newer app's database and write what that app may not understand.
    this.on('ready', (opened) => {
      // Dexie counts a version as ten of the browser's.
      const version = (opened as CairnDatabase).backendDB().version / 10;
      if (version > SCHEMA_VERSION) {
        throw new Dexie.VersionError(`version ${version} is newer than ${SCHEMA_VERSION}`);
      }
      return agreeOnKept((opened as CairnDatabase).kept);
    });
  }
}

/**
 * Opens the database; resolves to why it can't be opened, or null. Ask before a live query, which
 * says nothing about a database that never opened.
 */
export async function openingFault(database: CairnDatabase): Promise<StoreFault | null> {
  try {
    await database.open();
    return null;
  } catch (error) {
    const fault = storeFault(error);
    return fault === 'failed' ? 'unavailable' : fault;
  }
}
