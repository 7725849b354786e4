'use client';
import type { EntryOf } from '@/core/entries/entry';
import { paceLines } from '@/core/pacing/profile-paces';
import { keptChoice } from '@/store/kept-choice';
import { paceProfiles } from '@/store/profiles';
import { browserDatabase } from '@/store/browser-database';

/** Where the device stores which pace profile is in use. */
export const PROFILE_KEY = 'cairn-profile';

/** The pace lines of a new outing: those of the profile in use; none where there is none. */
export async function ownPaces(): Promise<EntryOf<'pace'>[]> {
  const profiles = await paceProfiles(browserDatabase());
  const id = keptChoice(PROFILE_KEY);
  const profile = profiles.find((each) => each.id === id) ?? profiles[0];
  return profile ? paceLines(profile) : [];
}
