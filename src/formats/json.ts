import type { z } from 'zod';
import type { Fault } from '../core/faults';
import { logbookSchema, type Logbook, type Outing } from '../core/logbook';
import { fail, ok } from '../core/result';
import { solve } from '../core/solve';
import type { FileFault, LogbookFormat } from './format';

/** A logbook file larger than this is refused, in characters: a backup of some thousand outings of a hundred legs. */
const LARGEST_LOGBOOK = 32_000_000;
const MOST_FAULTS = 20;

/** A logbook of these outings, said to be written at this moment (ISO 8601). */
export const logbookOf = (outings: Outing[], exportedAt: string): Logbook => ({
  format: 'cairn-back/logbook',
  version: 1,
  exportedAt,
  outings,
  paceProfiles: [],
});

const pathOf = (keys: readonly PropertyKey[]) =>
  keys
    .map((key) => (typeof key === 'number' ? `[${key}]` : `.${String(key)}`))
    .join('')
    .replace(/^\./, '');

const fromIssue = (issue: z.core.$ZodIssue): FileFault => ({
  fault: { code: 'schema', message: `${pathOf(issue.path) || 'The file'}: ${issue.message}.` },
  path: pathOf(issue.path),
});

const refuse = (message: string) =>
  fail([{ fault: { code: 'schema', message } as Fault, path: '' }]);

/** The logbook file: JSON of the schema in core/logbook.ts, which keeps fields that it does not know. */
export const jsonFormat: LogbookFormat = {
  name: 'json',
  mediaType: 'application/json',
  fileEnding: '.cairn.json',
  read(text, models) {
    if (text.length > LARGEST_LOGBOOK) {
      return fail([{ fault: { code: 'too-large', most: LARGEST_LOGBOOK, unit: 'bytes' } }]);
    }
    let data: unknown;
    try {
      data = JSON.parse(text);
    } catch {
      return refuse('This is not JSON: the file may be cut off or damaged.');
    }
    const parsed = logbookSchema.safeParse(data);
    if (!parsed.success) return fail(parsed.error.issues.slice(0, MOST_FAULTS).map(fromIssue));
    const logbook = parsed.data;
    for (const [number, outing] of logbook.outings.entries()) {
      const solved = solve(outing, models);
      if (solved.ok) continue;
      const { at, fault } = solved.fault;
      const inside = 'header' in at ? at.header : `entries[${at.entry}]`;
      return fail([{ fault, path: `outings[${number}].${inside}` }]);
    }
    return ok(logbook);
  },
  write: (logbook) => ok(`${JSON.stringify(logbook, null, 2)}\n`),
};
