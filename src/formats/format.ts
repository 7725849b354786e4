import type { Fault } from '../core/faults/fault';
import type { Logbook } from '../core/model/logbook';
import type { EarthModels } from '../core/north/earth-models';
import type { Result } from '../core/units/result';

/** What can't be read of a file, and where: line and column of a text, or a path into JSON. */
export interface FileFault {
  readonly fault: Fault;
  readonly line?: number;
  readonly column?: number;
  readonly path?: string;
}

/** A fault of a file as a whole, or at a place in it. */
export const fileFault = (message: string, at: Omit<FileFault, 'fault'> = {}): FileFault => ({
  fault: { code: 'schema', message },
  ...at,
});

/** A file format that a logbook can be written in. Formats are pure. */
export interface Format {
  readonly name: string;
  readonly mediaType: string;
  readonly fileEnding: string;
  /** Fails when no outing has what the format needs: a start position and true north. */
  write(logbook: Logbook, models: EarthModels | null): Result<string, FileFault[]>;
}

/** A format that is read back as it was written. */
export interface LogbookFormat extends Format {
  read(text: string, models: EarthModels | null): Result<Logbook, FileFault[]>;
}
