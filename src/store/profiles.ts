import { paceProfileSchema, type Calibration, type PaceProfile } from '../core/logbook';
import type { CairnDatabase } from './database';

/** All pace profiles, by name; one that can't be read is left where it is and not shown. */
export async function paceProfiles(database: CairnDatabase): Promise<PaceProfile[]> {
  const records = await database.profiles.toArray();
  return records
    .filter((record) => paceProfileSchema.safeParse(record).success)
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** Changes a profile as it stands at that moment, or begins it; durable when the promise resolves. */
async function changeProfile(
  database: CairnDatabase,
  id: string,
  change: (standing: PaceProfile | undefined) => PaceProfile,
): Promise<void> {
  await database.transaction('rw', database.profiles, async () => {
    const standing = await database.profiles.get(id);
    await database.profiles.put(paceProfileSchema.parse(change(standing)) as PaceProfile);
  });
}

/** Adds a calibration to a profile, which is begun under this name when it is not there. Older ones stay. */
export const addCalibration = (
  database: CairnDatabase,
  profile: { readonly id: string; readonly name: string },
  calibration: Calibration,
): Promise<void> =>
  changeProfile(database, profile.id, (standing) => ({
    ...(standing ?? { ...profile, calibrations: [] }),
    calibrations: [...(standing?.calibrations ?? []), calibration],
  }));

/** Gives a profile another name, or begins it without a calibration. */
export const nameProfile = (database: CairnDatabase, id: string, name: string): Promise<void> =>
  changeProfile(database, id, (standing) => ({ calibrations: [], ...standing, id, name }));
