import * as z from 'zod/mini';
import { entrySchema, type EntryOf, type Leg } from '../entries/entry';
import type { Position } from '../readings/position';
import { openObject } from '../readings/shape';
import { headerFields, type Header } from './header';
import { nth } from '../units/nth';

/** The longest id of an outing or a calibration. */
export const recordId = z.string().check(z.minLength(1), z.maxLength(100));

/** An outing: everything as it was read, and nothing that can be computed. */
export const outingSchema = openObject({
  id: recordId,
  ...headerFields,
  entries: z.array(entrySchema),
});
export type Outing = z.infer<typeof outingSchema>;

/** An outing with an empty log. */
export const blankOuting = (id: string, name = ''): Outing => ({
  id,
  name,
  start: { name: 'Start' },
  declination: { source: 'none' },
  show: { north: 'magnetic' },
  entries: [],
});

/** The header of an outing: all of it but its id and its entries. */
export function headerOf(outing: Outing): Header {
  const { id: _id, entries: _entries, ...rest } = outing;
  return rest;
}

/** The leg at an entry. Throws RangeError where another kind of line is: a slip of the caller. */
export function legAtEntry({ entries }: Outing, index: number): Leg {
  const entry = entries[index];
  if (entry?.kind !== 'leg') throw new RangeError(`entry ${index} is not a leg`);
  return entry;
}

/** The first place that the log knows from the map. */
const firstKnown = ({ entries }: Outing): EntryOf<'known'> | undefined =>
  entries.find((entry) => entry.kind === 'known');

/** The lines that count for the log before them: its first known place, and its paces. */
export function linesAhead({ entries }: Outing) {
  let known: EntryOf<'known'> | undefined;
  const paces: EntryOf<'pace'>[] = [];
  // A plain loop: every log that is solved is read through once before it.
  for (let i = 0; i < entries.length; i++) {
    const entry = nth(entries, i);
    if (entry.kind === 'pace') paces.push(entry);
    else if (entry.kind === 'known') known ??= entry;
  }
  return { known, paces };
}

/**
 * Where an outing is, near enough for a model of the earth: its start, or the first place that its
 * log knows from the map.
 */
export const placeOf = (outing: Outing): Position | undefined =>
  outing.start.position ?? firstKnown(outing)?.position;

/** True for a log that knows places from the map. */
export const knowsPlaces = (outing: Outing): boolean => firstKnown(outing) !== undefined;
