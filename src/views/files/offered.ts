import type { EarthModels } from '@/core/earth-models';
import { fail, type Result } from '@/core/result';
import {
  readFile,
  readText,
  type FileRead,
  type ReadChoices,
  type UnreadFile,
} from '@/formats/read-file';

/** A file or a text that someone offered, as it came: it is read again when a choice changes. */
export interface Offered {
  readonly name: string;
  readonly content: Uint8Array | string;
}

/** Reads what was offered; a reader that breaks is a fault of the file, and never of the page. */
export function readOffered(
  { name, content }: Offered,
  models: EarthModels,
  choices: ReadChoices,
): Result<FileRead, UnreadFile> {
  try {
    return typeof content === 'string'
      ? readText(name, content, models, choices)
      : readFile(name, content, models, choices);
  } catch (error) {
    console.error('A reader broke:', error);
    const message = 'This file is built so that it can’t be read.';
    return fail({ faults: [{ fault: { code: 'schema', message } }] });
  }
}
