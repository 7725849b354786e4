import type { Area } from '../../core/model/area';
import type { DeviceRecord } from '../../core/model/device-record';
import type { KnownPlace } from '../../core/model/known-place';
import type { Outing } from '../../core/model/outing';
import type { PaceProfile } from '../../core/model/pace-profile';
import type { Route } from '../../core/model/route';
import type { PracticeRecord } from '../../core/practice/record';
import type { Result } from '../../core/units/result';
import type { FileFault } from '../format';
import type { CsvTable } from './read-csv';

/** What a file holds, before anything of it is stored. */
export interface FileContents {
  readonly kind: 'log' | 'logbook' | 'route' | 'table' | 'gpx' | 'geojson' | 'archive';
  readonly outings: readonly Outing[];
  readonly profiles: readonly PaceProfile[];
  readonly areas?: readonly Area[];
  readonly routes?: readonly Route[];
  readonly knownPlaces?: readonly KnownPlace[];
  readonly practice?: PracticeRecord;
  readonly device?: DeviceRecord;
  /** Pixels of pictures, by their names in the archive. */
  readonly pixels?: ReadonlyMap<string, Uint8Array>;
  /** What was changed and what was left out, as sentences. */
  readonly messages: readonly string[];
  /** The table, so that its columns can be given another meaning. */
  readonly table?: CsvTable;
  /** True when the tolerance changes the result. */
  readonly thinned?: boolean;
}

/** A file that can't be read; a table whose columns aren't known can be shown and mapped. */
export interface UnreadFile {
  readonly faults: readonly FileFault[];
  readonly table?: CsvTable;
}

export type ReadResult = Result<FileContents, UnreadFile>;
