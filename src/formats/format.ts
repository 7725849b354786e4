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

/** One file format: reads a text into a logbook, or writes one. Formats are pure. */
export interface Format {
  readonly name: string;
  readonly mediaType: string;
  readonly fileEnding: string;
  read(text: string, models: EarthModels | null): Result<Logbook, FileFault[]>;
  write(logbook: Logbook): string;
}
