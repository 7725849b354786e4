import * as z from 'zod/mini';
import { groundName } from '../readings/ground';
import { LONGEST_NAME } from '../readings/name';
import { isOneLine, ONE_LINE, openObject, optionalNote, positiveAmount } from '../readings/shape';
import { recordId } from './outing';

/** One calibration: a course of known length walked once or more, with the count of each walk. */
const calibrationSchema = openObject({
  id: recordId,
  at: z.iso.datetime({ offset: true }),
  /** Absent for the general pace. */
  ground: z.optional(groundName),
  course: openObject({ value: positiveAmount, unit: z.enum(['metres', 'feet', 'yards']) }),
  /** What was counted: paces (the same foot each time) or single steps. */
  counted: z.enum(['paces', 'steps']),
  counts: z.array(positiveAmount).check(z.minLength(1), z.maxLength(100)),
  note: optionalNote,
});
export type Calibration = z.infer<typeof calibrationSchema>;

/** A person's calibrations, ground by ground; the newest of a ground is the one in use. */
export const paceProfileSchema = openObject({
  id: recordId,
  name: z.string().check(z.minLength(1), z.maxLength(LONGEST_NAME), z.refine(isOneLine, ONE_LINE)),
  calibrations: z.array(calibrationSchema),
});
export type PaceProfile = z.infer<typeof paceProfileSchema>;
