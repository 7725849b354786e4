import { IN_ENGLISH } from '../../core/readings/in-english';
import * as z from 'zod/mini';
import {
  courseResultsSchema,
  courseSchema,
  type Course,
  type CourseResults,
} from '../../core/practice/course';
import { practiceRecordSchema, type PracticeRecord } from '../../core/practice/record';
import { fail, ok, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../format';

const VERSION = 1;

/** A course or the results of one, as it goes from phone to phone. */
export type PracticeFile =
  | { readonly kind: 'course'; readonly course: Course }
  | { readonly kind: 'results'; readonly results: CourseResults };

const fileSchema = z.discriminatedUnion('format', [
  z.object({
    format: z.literal('cairn-practice-course'),
    version: z.literal(VERSION),
    course: courseSchema,
  }),
  z.object({
    format: z.literal('cairn-practice-results'),
    version: z.literal(VERSION),
    results: courseResultsSchema,
  }),
]);

/**
 * What the trainer kept, from a logbook. Where it can't be read it is left out and said so: no
 * outing is refused for it.
 */
export function readPracticeRecord(data: unknown): {
  readonly practice?: PracticeRecord;
  readonly messages: readonly string[];
} {
  if (data === undefined) return { messages: [] };
  const read = practiceRecordSchema.safeParse(data, IN_ENGLISH);
  if (read.success) return { practice: read.data, messages: [] };
  const [issue] = read.error.issues;
  const at = ['practice', ...(issue?.path ?? [])].join('.');
  return { messages: [`Practice is left out: ${at}: ${issue?.message ?? 'not what was kept'}`] };
}

/** The text of a file that holds a course or results. */
export const writePracticeFile = (file: PracticeFile): string =>
  JSON.stringify(
    file.kind === 'course'
      ? { format: 'cairn-practice-course', version: VERSION, course: file.course }
      : { format: 'cairn-practice-results', version: VERSION, results: file.results },
    null,
    2,
  );

/** Reads such a text; says where it is wrong, what was there and what was expected. */
export function readPracticeFile(text: string): Result<PracticeFile, FileFault> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return fail(fileFault('it is no JSON text'));
  }
  const read = fileSchema.safeParse(data, IN_ENGLISH);
  if (!read.success) {
    const [issue] = read.error.issues;
    const at = issue?.path.join('.') ?? '';
    return fail(fileFault(`${at === '' ? 'the file' : at}: ${issue?.message ?? 'not a course'}`));
  }
  return ok(
    read.data.format === 'cairn-practice-course'
      ? { kind: 'course', course: read.data.course as Course }
      : { kind: 'results', results: read.data.results as CourseResults },
  );
}
