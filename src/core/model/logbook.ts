import * as z from 'zod/mini';
import { openObject } from '../readings/shape';
import { outingSchema, type Outing } from './outing';
import { paceProfileSchema, type PaceProfile } from './pace-profile';

/** Outings and pace profiles as one file; types, checks and the JSON Schema come from here. */
export const logbookSchema = openObject({
  format: z.literal('cairn-back/logbook'),
  version: z.literal(1),
  exportedAt: z.iso.datetime({ offset: true }),
  outings: z.array(outingSchema),
  paceProfiles: z.array(paceProfileSchema),
});
export type Logbook = z.infer<typeof logbookSchema>;

/** A logbook of these outings and profiles, written at this moment (ISO 8601). */
export const logbookOf = (
  outings: Outing[],
  exportedAt: string,
  paceProfiles: PaceProfile[] = [],
): Logbook => ({ format: 'cairn-back/logbook', version: 1, exportedAt, outings, paceProfiles });
