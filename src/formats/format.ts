import type { EarthModels } from '../core/earth-models';
import type { Fault } from '../core/faults';
import type { Logbook } from '../core/logbook';
import type { Result } from '../core/result';

/** What can't be read of a file, and where: a line and column of a text, or a path into JSON. */
export interface FileFault {
  readonly fault: Fault;
  readonly line?: number;
  readonly column?: number;
  readonly path?: string;
}

/** A fault of a file as a whole, or at a place in it, in words. */
export const fileFault = (message: string, at: Omit<FileFault, 'fault'> = {}): FileFault => ({
  fault: { code: 'schema', message },
  ...at,
});

/** A file format that a logbook can be written in. Formats are pure. */
export interface Format {
  readonly name: string;
  readonly mediaType: string;
  readonly fileEnding: string;
  /** Fails when no outing has what the format needs: a position of the start and true north. */
  write(logbook: Logbook, models: EarthModels | null): Result<string, FileFault[]>;
}

/** A format that is read back as it was written. */
export interface LogbookFormat extends Format {
  read(text: string, models: EarthModels | null): Result<Logbook, FileFault[]>;
}
