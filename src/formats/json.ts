import { isVisible } from '../core/units/visible';
import type * as z from 'zod/mini';
import { LOGBOOK_VERSION, logbookSchema, type Logbook } from '../core/model/logbook';
import type { EarthModels } from '../core/north/earth-models';
import { unsolvable } from '../core/survey/solve';
import { fail, ok, type Result } from '../core/units/result';
import { boundedParse } from './import/bounded-parse';
import { fileFault, type FileFault, type LogbookFormat } from './format';
import { beyondBounds } from './import/json-bounds';

/** A larger file is refused, in characters: a backup of some thousand outings of 100 legs. */
const LARGEST_LOGBOOK = 32_000_000;
const MOST_OUTINGS = 20_000;
const MOST_ENTRIES = 100_000;
const MOST_FAULTS = 20;

/** A path into JSON as a person writes it: outings[0].entries[3]. */
export const jsonPath = (keys: readonly PropertyKey[]): string =>
  keys
    .map((key) => (typeof key === 'number' ? `[${key}]` : `.${String(key)}`))
    .join('')
    .replace(/^\./, '');

const faultOfIssue = (issue: z.core.$ZodIssue): FileFault => {
  const path = jsonPath(issue.path);
  // The path stands before the message wherever it is shown.
  return fileFault(`${issue.message}.`, { path });
};

/** The first outing that can't be solved, and where; null when all can. */
function unsolvedOuting(logbook: Logbook, models: EarthModels | null): FileFault | null {
  for (const [number, outing] of logbook.outings.entries()) {
    const wrong = unsolvable(outing, models);
    if (!wrong) continue;
    const { at, fault } = wrong;
    const inside = 'header' in at ? at.header : `entries[${at.entry}]`;
    return { fault, path: `outings[${number}].${inside}` };
  }
  return null;
}

/** The first name in which nothing can be seen; null where there is none. */
function invisibleName({ outings }: Logbook): FileFault | null {
  const fault = { code: 'invisible-name' } as const;
  for (const [number, { name, start, entries }] of outings.entries()) {
    const path = `outings[${number}]`;
    if (name !== '' && !isVisible(name)) return { fault, path: `${path}.name` };
    if (!isVisible(start.name)) return { fault, path: `${path}.start.name` };
    const at = entries.findIndex(
      (entry) => entry.kind === 'leg' && entry.to !== undefined && !isVisible(entry.to),
    );
    if (at >= 0) return { fault, path: `${path}.entries[${at}].to` };
  }
  return null;
}

/** Parses JSON within bounds; fails with one fault of the whole file. */
export function parseJson(text: string): Result<unknown, FileFault[]> {
  const beyond = beyondBounds(text);
  if (beyond) {
    const message = `This JSON is ${beyond.message}, at character ${beyond.column}: not read.`;
    return fail([fileFault(message, { path: '' })]);
  }
  try {
    return ok(JSON.parse(text) as unknown);
  } catch {
    const message = 'This is not JSON: the file may be cut off or damaged.';
    return fail([fileFault(message, { path: '' })]);
  }
}

/**
 * A file of a later version, reported as such and not by the first field that differs; else null.
 */
function newerVersion(data: unknown): FileFault | null {
  const { version } = (data ?? {}) as { version?: unknown };
  if (typeof version !== 'number' || version <= LOGBOOK_VERSION) return null;
  const message =
    `This file was written by a newer version of Cairn Back (file version ${version}; this one ` +
    `reads 1 to ${LOGBOOK_VERSION}). Update the app, or export from there as a text log.`;
  return fileFault(message, { path: '' });
}

/** A file with more outings or lines than are read; else null. */
function tooMuch(data: unknown): FileFault | null {
  const { outings } = (data ?? {}) as { outings?: unknown };
  if (!Array.isArray(outings)) return null;
  if (outings.length > MOST_OUTINGS) return beyond('outings', outings.length, MOST_OUTINGS);
  for (const [number, outing] of outings.entries()) {
    const { entries } = (outing ?? {}) as { entries?: unknown };
    if (Array.isArray(entries) && entries.length > MOST_ENTRIES) {
      return beyond(`outings[${number}].entries`, entries.length, MOST_ENTRIES);
    }
  }
  return null;
}

const beyond = (path: string, count: number, most: number): FileFault =>
  fileFault(`${count.toLocaleString('en')}, and at most ${most.toLocaleString('en')} are read.`, {
    path,
  });

/** The logbook file: JSON that keeps fields it doesn't know. */
export const jsonFormat: LogbookFormat = {
  name: 'json',
  mediaType: 'application/json',
  fileEnding: '.cairn.json',
  read(text, models) {
    if (text.length > LARGEST_LOGBOOK) {
      return fail([{ fault: { code: 'too-large', most: LARGEST_LOGBOOK, unit: 'bytes' } }]);
    }
    const data = parseJson(text);
    if (!data.ok) return data;
    const unfit = newerVersion(data.value) ?? tooMuch(data.value);
    if (unfit) return fail([unfit]);
    const parsed = boundedParse(logbookSchema, data.value, MOST_FAULTS);
    if (!parsed.success) return fail(parsed.error.issues.map(faultOfIssue));
    const fault = invisibleName(parsed.data) ?? unsolvedOuting(parsed.data, models);
    return fault ? fail([fault]) : ok(parsed.data);
  },
  write: (logbook) => ok(`${JSON.stringify(logbook, null, 2)}\n`),
};
