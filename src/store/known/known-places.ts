import equal from 'fast-deep-equal';
import { knownPlaceSchema, type KnownPlace } from '../../core/model/known-place';
import type { CairnDatabase } from '../database';
import { stepOf } from '../change-log';
import { DocumentLogs, edited, type DocumentOutcome } from '../documents/document-log';

/** The known places of this device, each with a change log of its own. */
export const placeLogs = new DocumentLogs<KnownPlace>(
  'place',
  ({ places }) => places,
  knownPlaceSchema,
);

/** All known places, by name; one that can't be read stays stored and isn't shown. */
export async function knownPlaces(database: CairnDatabase): Promise<KnownPlace[]> {
  const states = await placeLogs.all(database);
  return states.map(({ document }) => document).sort((a, b) => a.name.localeCompare(b.name));
}

/** What someone changed of a place that they saw, made to the place as it is now. */
function changed(seen: KnownPlace, wanted: KnownPlace, now: KnownPlace): KnownPlace {
  const merged: Record<string, unknown> = { ...now };
  const [before, after]: readonly Readonly<Record<string, unknown>>[] = [seen, wanted];
  for (const key of new Set([...Object.keys(seen), ...Object.keys(wanted)])) {
    if (equal(before?.[key], after?.[key])) continue;
    if (after?.[key] === undefined) delete merged[key];
    else merged[key] = after[key];
  }
  return merged as KnownPlace;
}

/**
 * Adds a known place, or changes the one that was `seen` before it was edited: what another tab
 * changed meanwhile stays, and one that is deleted by now is not brought back. Durable when it
 * resolves; throws for what is no known place.
 */
export async function putKnownPlace(
  database: CairnDatabase,
  place: KnownPlace,
  now: Date,
  seen: KnownPlace | null = null,
): Promise<DocumentOutcome> {
  const document = knownPlaceSchema.parse(place) as KnownPlace;
  return placeLogs.change(
    database,
    place.id,
    (state) =>
      state
        ? edited(state, (current) => (seen ? changed(seen, document, current) : document))
        : { kind: 'create', document },
    now,
  );
}

/** Takes back the last change of a known place, its removal as well; durable when it resolves. */
export const undoKnownPlace = (
  database: CairnDatabase,
  id: string,
  now: Date,
): Promise<DocumentOutcome> =>
  placeLogs.change(
    database,
    id,
    (state) => {
      if (state?.discarded) return { kind: 'recover' };
      return state && (stepOf('undo', state) ?? { kind: 'discard' });
    },
    now,
  );

/** Removes a known place; the outings that used it keep their own lines. */
export const removeKnownPlace = (
  database: CairnDatabase,
  id: string,
  now: Date,
): Promise<DocumentOutcome> =>
  placeLogs.change(
    database,
    id,
    (state) => (state && !state.discarded ? { kind: 'discard' } : null),
    now,
  );

const withoutId = ({ id: _id, ...rest }: KnownPlace) => rest;

/**
 * Adds those that aren't there yet, by what they say; an id that is taken gets a new one. Call it
 * in a transaction of the table; resolves to how many were added.
 */
export async function mergeKnownPlaces(
  database: CairnDatabase,
  places: readonly KnownPlace[],
  now: Date,
  newId: () => string,
): Promise<number> {
  const there = await knownPlaces(database);
  let added = 0;
  for (const place of places) {
    if (there.some((known) => equal(withoutId(known), withoutId(place)))) continue;
    await placeLogs.import(database, place, now, newId);
    there.push(place);
    added++;
  }
  return added;
}

/** The same in a transaction of its own: all of them, or none. */
export async function addKnownPlaces(
  database: CairnDatabase,
  places: readonly KnownPlace[],
  now: Date,
  newId: () => string,
): Promise<number> {
  const whole = places.map((place) => knownPlaceSchema.parse(place) as KnownPlace);
  return database.transaction('rw', database.places, async () =>
    mergeKnownPlaces(database, whole, now, newId),
  );
}
