'use client';
import type { EntryOf } from '@/core/logbook';
import { paceLines } from '@/core/pace-calibration';
import { paceProfiles } from '@/store/profiles';
import { browserDatabase } from './browser-store';

/** Where the device keeps which pace profile is in hand. */
export const PROFILE_KEY = 'cairn-profile';

/** The pace lines that a new outing begins with: those of the profile in hand; none where there is no profile. */
export async function ownPaces(): Promise<EntryOf<'pace'>[]> {
  const profiles = await paceProfiles(browserDatabase());
  const id = globalThis.localStorage?.getItem(PROFILE_KEY);
  const profile = profiles.find((each) => each.id === id) ?? profiles[0];
  return profile ? paceLines(profile) : [];
}
