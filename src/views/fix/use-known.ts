import { useCallback } from 'react';
import type { KnownPlace } from '@/core/model/known-place';
import {
  addKnownPlaces,
  knownPlaces,
  putKnownPlace,
  removeKnownPlace,
  undoKnownPlace,
} from '@/store/known/known-places';
import type { CairnDatabase } from '@/store/database';
import type { DocumentOutcome } from '@/store/documents/document-log';
import { storeFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { useLive } from '@/ui/use-live';
import { browserDatabase } from '@/store/browser-database';

const NONE: readonly KnownPlace[] = [];
const newId = () => crypto.randomUUID();

/** Does a change of the store; resolves to why it was not written, or null. */
async function written(
  change: (database: CairnDatabase, now: Date) => Promise<DocumentOutcome | number>,
): Promise<string | null> {
  try {
    const outcome = await change(browserDatabase(), new Date());
    if (typeof outcome === 'number' || outcome.kind !== 'unsaved') return null;
    return STORE_MESSAGES[outcome.fault];
  } catch (error) {
    return STORE_MESSAGES[storeFault(error)];
  }
}

/** The known places of this device, live across tabs, and what changes them. */
export function useKnown() {
  const live = useLive(useCallback(() => knownPlaces(browserDatabase()), []));
  return {
    places: live && 'value' in live ? live.value : NONE,
    isLoading: live === null,
    fault: live && 'error' in live ? STORE_MESSAGES[storeFault(live.error)] : null,
    /** Adds a place, or changes the one that was seen before. */
    put: (place: KnownPlace, seen: KnownPlace | null = null) =>
      written((database, now) => putKnownPlace(database, place, now, seen)),
    remove: (id: string) => written((database, now) => removeKnownPlace(database, id, now)),
    /** Takes back the last change of a place. */
    undo: (id: string) => written((database, now) => undoKnownPlace(database, id, now)),
    addAll: (places: readonly KnownPlace[]) =>
      written((database, now) => addKnownPlaces(database, places, now, newId)),
    newId,
  };
}
export type Known = ReturnType<typeof useKnown>;
