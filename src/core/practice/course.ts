import * as z from 'zod/mini';
import { recordId } from '../model/outing';
import { openObject, optionalNote } from '../readings/shape';
import { stationName } from '../readings/name';
import { attemptSchema, exerciseId, seedSchema, type Attempt } from './attempt';

const MOST_ITEMS = 200;
const MOST_ATTEMPTS = 5000;

/** What an instructor puts together: exercises, each with the seed that all learners get. */
export const courseSchema = openObject({
  id: recordId,
  name: stationName,
  note: optionalNote,
  items: z
    .array(openObject({ exercise: exerciseId, seed: seedSchema }))
    .check(z.minLength(1), z.maxLength(MOST_ITEMS)),
});
export type Course = z.infer<typeof courseSchema>;

/** What a learner hands back: who it was, and all goes at the exercises of a course. */
export const courseResultsSchema = openObject({
  course: recordId,
  name: stationName,
  who: stationName,
  attempts: z.array(attemptSchema).check(z.maxLength(MOST_ATTEMPTS)),
});
export type CourseResults = z.infer<typeof courseResultsSchema>;

/** How far someone is with an item of a course: its goes, and the first right one. */
export interface ItemDone {
  readonly tries: number;
  readonly isDone: boolean;
  readonly slips: readonly string[];
}

/** The items of a course with what a learner's attempts make of them. */
export const courseStanding = (course: Course, attempts: readonly Attempt[]): ItemDone[] =>
  course.items.map(({ exercise, seed }) => {
    const tried = attempts.filter(
      (each) => each.course === course.id && each.exercise === exercise && each.seed === seed,
    );
    return {
      tries: tried.length,
      isDone: tried.some(({ isRight }) => isRight),
      slips: tried.flatMap(({ slips }) => slips),
    };
  });
