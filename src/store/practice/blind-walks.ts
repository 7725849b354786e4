import type { KeptWalk, SetLeg } from '../../core/practice/walk/kept-walk';
import type { CairnDatabase } from '../database';

/** The walk of an outing; undefined where the outing isn't one. */
export const blindWalkOf = (database: CairnDatabase, outing: string) =>
  database.blindWalks.get(outing);

/** All walks. */
export const blindWalks = (database: CairnDatabase): Promise<KeptWalk[]> =>
  database.blindWalks.toArray();

export async function beginBlindWalk(database: CairnDatabase, walk: KeptWalk): Promise<void> {
  await database.transaction('rw', database.blindWalks, () => database.blindWalks.add(walk));
}

/** Changes a walk as it is at that moment; durable when it resolves. */
async function changed(
  database: CairnDatabase,
  outing: string,
  change: (walk: KeptWalk) => KeptWalk,
): Promise<void> {
  await database.transaction('rw', database.blindWalks, async () => {
    const walk = await database.blindWalks.get(outing);
    if (walk && !walk.isOver) await database.blindWalks.put(change(walk));
  });
}

/** The walker goes another leg. */
export const walkOn = (database: CairnDatabase, outing: string, leg: SetLeg): Promise<void> =>
  changed(database, outing, (walk) => ({ ...walk, legs: [...walk.legs, leg] }));

/** The walker says to be home: what was true may be seen now. */
export const endBlindWalk = (database: CairnDatabase, outing: string): Promise<void> =>
  changed(database, outing, (walk) => ({ ...walk, isOver: true }));
