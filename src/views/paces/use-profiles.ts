'use client';
import { useCallback, useEffect, useState } from 'react';
import type { Calibration, PaceProfile } from '@/core/logbook';
import { openingFault } from '@/store/database';
import { addCalibration, nameProfile, paceProfiles } from '@/store/profiles';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { useLive } from '@/ui/use-live';
import { browserDatabase } from '@/views/shared/browser-store';
import { PROFILE_KEY } from '@/views/shared/own-paces';
import { WORDS } from './words';

/** The pace profiles of this device, the one in hand, and what can be done with it. */
export function useProfiles() {
  const live = useLive(useCallback(() => paceProfiles(browserDatabase()), []));
  const profiles = live && 'value' in live ? live.value : undefined;
  const [closed, setClosed] = useState<StoreFault | null>(null);
  useEffect(() => {
    void openingFault(browserDatabase()).then(setClosed);
  }, []);
  const fault = closed ?? (live && 'error' in live ? storeFault(live.error) : null);
  const [chosenId, setChosenId] = useState(
    () => globalThis.localStorage?.getItem(PROFILE_KEY) ?? null,
  );
  const chosen: PaceProfile | undefined =
    profiles?.find(({ id }) => id === chosenId) ?? profiles?.[0];

  const choose = (id: string) => {
    localStorage.setItem(PROFILE_KEY, id);
    setChosenId(id);
  };
  const attempt = async (action: () => Promise<void>): Promise<StoreFault | null> => {
    try {
      await action();
      return null;
    } catch (error) {
      return storeFault(error);
    }
  };
  const keep = (calibration: Calibration) => {
    const profile = chosen ?? { id: crypto.randomUUID(), name: WORDS.firstProfile };
    return attempt(async () => {
      await addCalibration(browserDatabase(), { id: profile.id, name: profile.name }, calibration);
      choose(profile.id);
    });
  };
  const name = (id: string | null, wanted: string) =>
    attempt(async () => {
      const used = id ?? crypto.randomUUID();
      await nameProfile(browserDatabase(), used, wanted);
      choose(used);
    });
  return { profiles, fault, chosen, choose, keep, name };
}
