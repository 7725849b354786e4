import equal from 'fast-deep-equal';
import { knownPlaceSchema, type KnownPlace } from '../../core/model/known-place';
import type { CairnDatabase } from '../database';

/** All known places, by name; one that can't be read stays stored and isn't shown. */
export async function knownPlaces(database: CairnDatabase): Promise<KnownPlace[]> {
  const records = await database.knownPlaces.toArray();
  return records
    .filter((record) => knownPlaceSchema.safeParse(record).success)
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** Adds or changes a known place; durable when it resolves. */
export async function putKnownPlace(database: CairnDatabase, place: KnownPlace): Promise<void> {
  const whole = knownPlaceSchema.parse(place) as KnownPlace;
  await database.transaction('rw', database.knownPlaces, () => database.knownPlaces.put(whole));
}

/** Removes a known place; the outings that used it keep their own lines. */
export async function removeKnownPlace(database: CairnDatabase, id: string): Promise<void> {
  await database.transaction('rw', database.knownPlaces, () => database.knownPlaces.delete(id));
}

const withoutId = ({ id: _id, ...rest }: KnownPlace) => rest;

/**
 * Adds those that aren't there yet, by what they say; an id that is taken gets a new one. Call it
 * in a transaction of the table; resolves to how many were added.
 */
export async function mergeKnownPlaces(
  database: CairnDatabase,
  places: readonly KnownPlace[],
  newId: () => string,
): Promise<number> {
  const there = await database.knownPlaces.toArray();
  let added = 0;
  for (const place of places) {
    if (there.some((known) => equal(withoutId(known), withoutId(place)))) continue;
    const isTaken = there.some(({ id }) => id === place.id);
    const record = isTaken ? { ...place, id: newId() } : place;
    there.push(record);
    await database.knownPlaces.put(record);
    added++;
  }
  return added;
}

/** The same in a transaction of its own: all of them, or none. */
export const addKnownPlaces = (
  database: CairnDatabase,
  places: readonly KnownPlace[],
  newId: () => string,
): Promise<number> =>
  database.transaction('rw', database.knownPlaces, () =>
    mergeKnownPlaces(
      database,
      places.map((place) => knownPlaceSchema.parse(place) as KnownPlace),
      newId,
    ),
  );
