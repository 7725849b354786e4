'use client';
import { useCallback, useEffect, useState } from 'react';
import type { Calibration, PaceProfile } from '@/core/model/pace-profile';
import { openingFault } from '@/store/database';
import { keepChoice } from '@/store/keep-choice';
import { keptChoice } from '@/store/kept-choice';
import { addCalibration, nameProfile, paceProfiles } from '@/store/profiles';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { useLive } from '@/ui/use-live';
import { browserDatabase } from '@/store/browser-database';
import { PROFILE_KEY } from '@/views/shared/data/own-paces';
import { WORDS } from './words';

async function attempt(action: () => Promise<void>): Promise<StoreFault | null> {
  try {
    await action();
    return null;
  } catch (error) {
    return storeFault(error);
  }
}

/** The pace profiles of this device, which is in use, and what can be done with them. */
export function useProfiles() {
  const live = useLive(useCallback(() => paceProfiles(browserDatabase()), []));
  const all = live && 'value' in live ? live.value : undefined;
  const [closed, setClosed] = useState<StoreFault | null>(null);
  useEffect(() => {
    void openingFault(browserDatabase()).then(setClosed);
  }, []);
  const fault = closed ?? (live && 'error' in live ? storeFault(live.error) : null);
  const [chosenId, setChosenId] = useState(() => keptChoice(PROFILE_KEY));
  const chosen: PaceProfile | undefined = all?.find(({ id }) => id === chosenId) ?? all?.[0];
  const choose = (id: string) => {
    void keepChoice(PROFILE_KEY, id).then(() => setChosenId(id));
  };
  const saveName = (id: string, name: string) =>
    attempt(async () => {
      await nameProfile(browserDatabase(), id, name);
      choose(id);
    });
  return {
    all,
    fault,
    chosen,
    choose,
    addCalibration: (calibration: Calibration) => {
      const profile = chosen ?? { id: crypto.randomUUID(), name: WORDS.firstProfile };
      return attempt(async () => {
        await addCalibration(browserDatabase(), profile, calibration);
        choose(profile.id);
      });
    },
    rename: ({ id }: PaceProfile, name: string) => saveName(id, name),
    create: (name: string) => saveName(crypto.randomUUID(), name),
  };
}

export type Profiles = ReturnType<typeof useProfiles>;
