import { recordCount, practiceRecordSchema, type PracticeRecord } from '../../core/practice/record';
import { keptWalkSchema } from '../../core/practice/walk/kept-walk';
import type { CairnDatabase } from '../database';
import { blindWalks } from './blind-walks';
import { attempts, courseResults, courses, resultsId } from './practice';

/** All that the trainer keeps; null for nothing. What can't be read is left out of it. */
export async function practiceRecord(database: CairnDatabase): Promise<PracticeRecord | null> {
  const results = await courseResults(database);
  const walks = await blindWalks(database);
  const record: PracticeRecord = {
    attempts: await attempts(database),
    courses: await courses(database),
    courseResults: results.map(({ course, name, who, attempts: tried }) => ({
      course,
      name,
      who,
      attempts: tried,
    })),
    blindWalks: walks.filter((walk) => keptWalkSchema.safeParse(walk).success),
  };
  return recordCount(record) === 0 ? null : record;
}

/** The tables that an import writes to: name them to the transaction that it is a part of. */
export const practiceTables = (database: CairnDatabase) => [
  database.attempts,
  database.courses,
  database.courseResults,
  database.blindWalks,
];

/**
 * Adds what isn't there yet, inside a transaction; what is there stays as it is. `idHere` says by
 * which id an outing of the file is here, null where it is not. Resolves to how much was added.
 */
export async function mergePractice(
  database: CairnDatabase,
  record: PracticeRecord,
  idHere: (outing: string) => string | null,
): Promise<number> {
  const whole = practiceRecordSchema.parse(record);
  let added = 0;
  const addMissing = async <Kept>(
    table: {
      get(id: string): PromiseLike<Kept | undefined>;
      put(kept: Kept): PromiseLike<unknown>;
    },
    id: string,
    kept: Kept,
  ) => {
    if ((await table.get(id)) !== undefined) return;
    await table.put(kept);
    added++;
  };
  for (const attempt of whole.attempts) await addMissing(database.attempts, attempt.id, attempt);
  for (const course of whole.courses) await addMissing(database.courses, course.id, course);
  for (const results of whole.courseResults) {
    const id = resultsId(results);
    await addMissing(database.courseResults, id, { ...results, id });
  }
  for (const walk of whole.blindWalks) {
    const outing = idHere(walk.outing);
    // Without its outing a walk could not be logged, or would be taken for another’s.
    if (outing !== null) await addMissing(database.blindWalks, outing, { ...walk, outing });
  }
  return added;
}
