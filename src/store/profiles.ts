import { paceProfileSchema, type Calibration, type PaceProfile } from '../core/model/pace-profile';
import type { CairnDatabase } from './database';

/** All pace profiles, by name; one that can't be read stays stored and isn't shown. */
export async function paceProfiles(database: CairnDatabase): Promise<PaceProfile[]> {
  const records = await database.profiles.toArray();
  return records
    .filter((record) => paceProfileSchema.safeParse(record).success)
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** Changes a profile as it is at that moment, or creates it; durable when it resolves. */
async function changeProfile(
  database: CairnDatabase,
  id: string,
  change: (current: PaceProfile | undefined) => PaceProfile,
): Promise<void> {
  await database.transaction('rw', database.profiles, async () => {
    const current = await database.profiles.get(id);
    await database.profiles.put(paceProfileSchema.parse(change(current)) as PaceProfile);
  });
}

/** Adds a calibration to a profile, which is created if it isn't there. Older ones stay. */
export const addCalibration = (
  database: CairnDatabase,
  profile: { readonly id: string; readonly name: string },
  calibration: Calibration,
): Promise<void> =>
  changeProfile(database, profile.id, (current) => ({
    ...(current ?? { ...profile, calibrations: [] }),
    calibrations: [...(current?.calibrations ?? []), calibration],
  }));

/** Renames a profile, or creates it without a calibration. */
export const nameProfile = (database: CairnDatabase, id: string, name: string): Promise<void> =>
  changeProfile(database, id, (current) => ({ calibrations: [], ...current, id, name }));
