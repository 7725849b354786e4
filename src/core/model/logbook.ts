import * as z from 'zod/mini';
import { openObject } from '../readings/shape';
import { areaSchema, type Area } from './area';
import { knownPlaceSchema, type KnownPlace } from './known-place';
import { outingSchema, type Outing } from './outing';
import { paceProfileSchema, type PaceProfile } from './pace-profile';
import { routeSchema, type Route } from './route';

/**
 * The newest version of the file: with routes, practice or what a device holds; with areas or known
 * places the second is written, and without any of them the first.
 */
export const LOGBOOK_VERSION = 3;

/** Outings and what belongs to them as one file: its types, its checks, and its JSON Schema. */
export const logbookSchema = openObject({
  format: z.literal('cairn-back/logbook'),
  version: z.literal([1, 2, LOGBOOK_VERSION]),
  exportedAt: z.iso.datetime({ offset: true }),
  outings: z.array(outingSchema),
  paceProfiles: z.array(paceProfileSchema),
  areas: z.optional(z.array(areaSchema)),
  knownPlaces: z.optional(z.array(knownPlaceSchema)),
  routes: z.optional(z.array(routeSchema)),
  /** What the trainer keeps: it checks that itself, so that no outing is refused for it. */
  practice: z.optional(z.record(z.string(), z.unknown())),
  /** What the device holds beside all that; checked by itself as well. */
  device: z.optional(z.record(z.string(), z.unknown())),
});
export type Logbook = z.infer<typeof logbookSchema>;

/** What a logbook may hold beside outings and paces. */
export interface LogbookDocuments {
  readonly areas?: Area[];
  readonly knownPlaces?: KnownPlace[];
  readonly routes?: Route[];
  readonly practice?: Record<string, unknown>;
  readonly device?: Record<string, unknown>;
}

/** A logbook of all of these, written at this moment (ISO 8601). */
export const logbookOf = (
  outings: Outing[],
  exportedAt: string,
  paceProfiles: PaceProfile[] = [],
  { areas = [], knownPlaces = [], routes = [], practice, device }: LogbookDocuments = {},
): Logbook => ({
  format: 'cairn-back/logbook',
  version:
    routes.length > 0 || practice || device
      ? LOGBOOK_VERSION
      : areas.length + knownPlaces.length > 0
        ? 2
        : 1,
  exportedAt,
  outings,
  paceProfiles,
  ...(areas.length > 0 && { areas }),
  ...(knownPlaces.length > 0 && { knownPlaces }),
  ...(routes.length > 0 && { routes }),
  ...(practice && { practice }),
  ...(device && { device }),
});
