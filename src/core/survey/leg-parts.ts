import { ENTRIES } from '../entries/entry';
import type { Part } from './dead-reckoning/leg-row';
import { linesAhead } from '../model/outing';
import { Reducer } from './dead-reckoning/reducer';
import type { Solution } from './solution';

export type { Part };

/** What each leg of a solved outing is made of, by its number: the log is followed once more. */
export function legParts({ outing, errors, places }: Solution): Map<number, readonly Part[]> {
  const parts = new Map<number, readonly Part[]>();
  const { norths } = places.frame;
  const reducer = new Reducer(outing, norths, errors, linesAhead(outing).paces, (leg, found) =>
    parts.set(leg, found),
  );
  for (const [index, entry] of outing.entries.entries()) {
    reducer.entry = index;
    ENTRIES.of(entry).apply(entry, reducer);
  }
  return parts;
}
