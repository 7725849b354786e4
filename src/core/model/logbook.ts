import * as z from 'zod/mini';
import { openObject } from '../readings/shape';
import { areaSchema, type Area } from './area';
import { knownPlaceSchema, type KnownPlace } from './known-place';
import { outingSchema, type Outing } from './outing';
import { paceProfileSchema, type PaceProfile } from './pace-profile';

/** The newest version of the file: with areas or known places; without, the first is written. */
export const LOGBOOK_VERSION = 2;

/** Outings and what belongs to them as one file: its types, its checks, and its JSON Schema. */
export const logbookSchema = openObject({
  format: z.literal('cairn-back/logbook'),
  version: z.literal([1, LOGBOOK_VERSION]),
  exportedAt: z.iso.datetime({ offset: true }),
  outings: z.array(outingSchema),
  paceProfiles: z.array(paceProfileSchema),
  areas: z.optional(z.array(areaSchema)),
  knownPlaces: z.optional(z.array(knownPlaceSchema)),
});
export type Logbook = z.infer<typeof logbookSchema>;

/** A logbook of all of these, written at this moment (ISO 8601). */
export const logbookOf = (
  outings: Outing[],
  exportedAt: string,
  paceProfiles: PaceProfile[] = [],
  areas: Area[] = [],
  knownPlaces: KnownPlace[] = [],
): Logbook => ({
  format: 'cairn-back/logbook',
  version: areas.length + knownPlaces.length > 0 ? LOGBOOK_VERSION : 1,
  exportedAt,
  outings,
  paceProfiles,
  ...(areas.length > 0 && { areas }),
  ...(knownPlaces.length > 0 && { knownPlaces }),
});
