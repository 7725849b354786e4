import { attemptSchema, type Attempt } from '../../core/practice/attempt';
import {
  courseResultsSchema,
  courseSchema,
  type Course,
  type CourseResults,
} from '../../core/practice/course';
import type { CairnDatabase, KeptResults } from '../database';

/** All attempts in the order of time; one that can't be read stays stored and isn't counted. */
export async function attempts(database: CairnDatabase): Promise<Attempt[]> {
  const records = await database.attempts.toArray();
  return records
    .filter((record) => attemptSchema.safeParse(record).success)
    .sort((one, other) => one.at.localeCompare(other.at));
}

/** Keeps an attempt; durable when it resolves. */
export async function keepAttempt(database: CairnDatabase, attempt: Attempt): Promise<void> {
  const whole = attemptSchema.parse(attempt) as Attempt;
  await database.transaction('rw', database.attempts, () => database.attempts.put(whole));
}

/** Forgets all attempts: one begins again. Courses stay. */
export const forgetAttempts = (database: CairnDatabase): Promise<void> =>
  database.transaction('rw', database.attempts, () => database.attempts.clear());

export async function courses(database: CairnDatabase): Promise<Course[]> {
  const records = await database.courses.toArray();
  return records
    .filter((record) => courseSchema.safeParse(record).success)
    .sort((one, other) => one.name.localeCompare(other.name));
}

/** Adds a course, or puts a newer one in the place of the one with its id. */
export async function keepCourse(database: CairnDatabase, course: Course): Promise<void> {
  const whole = courseSchema.parse(course) as Course;
  await database.transaction('rw', database.courses, () => database.courses.put(whole));
}

export const removeCourse = (database: CairnDatabase, id: string): Promise<void> =>
  database.transaction('rw', database.courses, () => database.courses.delete(id));

export async function courseResults(database: CairnDatabase): Promise<KeptResults[]> {
  const records = await database.courseResults.toArray();
  return records.filter((record) => courseResultsSchema.safeParse(record).success);
}

/** Results are kept once for each course and learner. */
export const resultsId = ({ course, who }: CourseResults): string => `${course} ${who}`;

/** Keeps what a learner handed back; handed back again, it takes the place of the first. */
export async function keepResults(database: CairnDatabase, results: CourseResults): Promise<void> {
  const whole = courseResultsSchema.parse(results) as CourseResults;
  const record = { ...whole, id: resultsId(whole) };
  await database.transaction('rw', database.courseResults, () =>
    database.courseResults.put(record),
  );
}
