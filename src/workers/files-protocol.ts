import type { Entry } from '../core/entries/entry';
import type { FileContents, UnreadFile } from '../formats/import/file-contents';
import type { CsvMapping } from '../formats/import/table-heads';
import type { CsvTable } from '../formats/import/read-csv';
import type { ConflictChoice, ImportCandidate, ImportResult } from '../store/import';
import type { StoreFault } from '../store/store-fault';

/** A file or a text to be read; for a table, what its columns and its distances mean. */
export interface FileToRead {
  readonly name: string;
  readonly content: Uint8Array | string;
  readonly mapping: CsvMapping | null;
  readonly distanceUnit: string | null;
}

/** Files to be read together, and how what is open to choice is to be read. */
export interface FileJob {
  readonly files: readonly FileToRead[];
  readonly toleranceMetres: number;
  readonly today: string;
  readonly paces: readonly Entry[];
}

/** An outing of a file, as its preview shows it. */
export interface OfferedOuting {
  readonly name: string;
  readonly by: string | undefined;
  readonly day: string | undefined;
  readonly legs: number;
  readonly conflict: ImportCandidate['conflict'];
}

/** A table without its rows: what its columns were taken for. */
export interface TableHead {
  readonly head: readonly string[];
  readonly firstRow: readonly string[];
  readonly mapping: CsvMapping;
  /** True where no head and no cell says what the distances are in. */
  readonly asksUnit: boolean;
}

/** A table among the files of a job, by its place there. */
export interface OfferedTable {
  readonly file: number;
  readonly name: string;
  readonly table: TableHead;
}

/** A file of a job that can't be read, and why. */
export interface UnreadNamed {
  readonly file: number;
  readonly name: string;
  readonly faults: UnreadFile['faults'];
}

/** What files hold: enough for their preview. The outings themselves stay in the worker. */
export interface FileSummary extends Pick<FileContents, 'messages' | 'thinned'> {
  readonly outings: readonly OfferedOuting[];
  readonly profiles: number;
  readonly areas: number;
  readonly routes: number;
  readonly knownPlaces: number;
  /** Records of the trainer. */
  readonly practice: number;
  /** Pictures of maps, counts, and choices. */
  readonly device: number;
}

/** The result of reading files: what they hold together, and those of them that can't be read. */
export type FileAnswer =
  | {
      readonly kind: 'read';
      readonly summary: FileSummary;
      readonly unread: readonly UnreadNamed[];
      readonly tables: readonly OfferedTable[];
    }
  | { readonly kind: 'store-fault'; readonly fault: StoreFault };

export type ImportAnswer =
  | { readonly kind: 'imported'; readonly result: ImportResult; readonly profiles: number }
  | { readonly kind: 'store-fault'; readonly fault: StoreFault };

export type OnProgress = (share: number) => void;

/** What the worker that reads files offers. */
export interface FilesWorker {
  /** Reads files and compares what they hold with the store. */
  read(job: FileJob, onProgress: OnProgress): Promise<FileAnswer>;
  /** Imports what was read last, with a choice for each outing: all of it or nothing. */
  import(choices: readonly ConflictChoice[], onProgress: OnProgress): Promise<ImportAnswer>;
}

/** The part of a table that its preview shows. */
export const tableHead = (table: CsvTable): TableHead => ({
  head: table.head,
  firstRow: table.rows[0] ?? [],
  mapping: table.mapping,
  asksUnit: table.asksUnit,
});
