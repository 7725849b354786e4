import * as z from 'zod/mini';
import { recordId } from '../model/outing';
import { openObject } from '../readings/shape';

/** How much was shown: the whole way, hints on request, or nothing. */
const STAGES = ['show', 'help', 'test'] as const;
export type Stage = (typeof STAGES)[number];

/** Seeds are what a person can type: up to six digits. */
export const LARGEST_SEED = 999_999;
export const seedSchema = z.int().check(z.gte(1), z.lte(LARGEST_SEED));
export const exerciseId = z.string().check(z.minLength(1), z.maxLength(64));

/**
 * One go at an exercise, and the result of it. The outcome is kept as it was reported then: a later
 * version of an exercise may ask something else for the same seed.
 */
export const attemptSchema = openObject({
  id: recordId,
  exercise: exerciseId,
  seed: seedSchema,
  at: z.iso.datetime(),
  stage: z.enum(STAGES),
  isRight: z.boolean(),
  /** The slips that were reported, question by question; those without one are left out. */
  slips: z.array(z.string().check(z.maxLength(40))).check(z.maxLength(20)),
  errorDegrees: z.optional(z.number().check(z.gte(0), z.lte(180))),
  errorMetres: z.optional(z.number().check(z.gte(0))),
  /** From seeing it to answering, in seconds. */
  seconds: z.number().check(z.gte(0)),
  /** The course that it was a part of. */
  course: z.optional(recordId),
});
export type Attempt = z.infer<typeof attemptSchema>;
