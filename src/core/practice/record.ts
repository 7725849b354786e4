import * as z from 'zod/mini';
import { openObject } from '../readings/shape';
import { attemptSchema } from './attempt';
import { courseResultsSchema, courseSchema } from './course';
import { keptWalkSchema } from './walk/kept-walk';

/** All that the trainer keeps of one person, as a backup has it. */
export const practiceRecordSchema = openObject({
  attempts: z.array(attemptSchema),
  courses: z.array(courseSchema),
  courseResults: z.array(courseResultsSchema),
  blindWalks: z.array(keptWalkSchema),
});
export type PracticeRecord = z.infer<typeof practiceRecordSchema>;

/** How many records there are of all kinds. */
export const recordCount = (record: PracticeRecord): number =>
  record.attempts.length +
  record.courses.length +
  record.courseResults.length +
  record.blindWalks.length;
