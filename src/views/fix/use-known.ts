import { useCallback } from 'react';
import type { KnownPlace } from '@/core/model/known-place';
import {
  addKnownPlaces,
  knownPlaces,
  putKnownPlace,
  removeKnownPlace,
} from '@/store/known/known-places';
import { storeFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { useLive } from '@/ui/use-live';
import { browserDatabase } from '@/views/shared/data/browser-store';

const NONE: readonly KnownPlace[] = [];
const newId = () => crypto.randomUUID();

/** Does a change of the store; resolves to why it was not written, or null. */
async function written(change: () => Promise<unknown>): Promise<string | null> {
  try {
    await change();
    return null;
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
    put: (place: KnownPlace) => written(() => putKnownPlace(browserDatabase(), place)),
    remove: (id: string) => written(() => removeKnownPlace(browserDatabase(), id)),
    addAll: (places: readonly KnownPlace[]) =>
      written(() => addKnownPlaces(browserDatabase(), places, newId)),
    newId,
  };
}
export type Known = ReturnType<typeof useKnown>;
