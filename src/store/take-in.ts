import equal from 'fast-deep-equal';
import { headerOf, outingSchema, type Outing, type PaceProfile } from '../core/logbook';
import { insertion, type Operation } from '../core/edit/operations';
import type { Change } from './change';
import type { CairnDatabase } from './database';
import { follow, type Page } from './journal';

/** What to do with an outing whose id stands on the shelf already with another page. */
export type Clash = 'keep-both' | 'replace' | 'skip';

/** An outing to be taken in, and how it meets what is there. */
export interface Incoming {
  readonly outing: Outing;
  /** Nothing there; there and the same; there with another page; taken off the shelf; there, but its journal is damaged. */
  readonly meets: 'nothing' | 'same' | 'other' | 'discarded' | 'damaged';
}

/** What was done, in outings. */
export interface TakenIn {
  readonly added: number;
  readonly replaced: number;
  readonly skipped: number;
  /** Ids of those that stand on the shelf now. */
  readonly ids: readonly string[];
}

async function standing(database: CairnDatabase, id: string) {
  const journal = await database.changes
    .where('[outing+number]')
    .between([id, 0], [id, Infinity])
    .toArray();
  return journal.length === 0 ? null : follow(null, journal);
}

/** How outings meet what is on the shelf; nothing is written. */
export async function meeting(
  database: CairnDatabase,
  outings: readonly Outing[],
): Promise<Incoming[]> {
  const found: Incoming[] = [];
  for (const outing of outings) {
    const there = await standing(database, outing.id);
    const meets = !there
      ? 'nothing'
      : there.damage || !there.page
        ? 'damaged'
        : there.page.discarded
          ? 'discarded'
          : equal(there.page.outing, outing)
            ? 'same'
            : 'other';
    found.push({ outing, meets });
  }
  return found;
}

/** The changes that make a page say what another says; they can be undone like any other. */
function rewriting(page: Page, outing: Outing): Operation[] {
  const operations: Operation[] = [];
  const [before, after] = [headerOf(page.outing), headerOf(outing)];
  if (!equal(before, after)) operations.push({ op: 'header', before, after });
  if (equal(page.outing.entries, outing.entries)) return operations;
  if (page.outing.entries.length > 0) {
    operations.push({ op: 'remove', index: 0, entries: page.outing.entries });
  }
  if (outing.entries.length > 0) operations.push(insertion(0, outing.entries));
  return operations;
}

/**
 * Takes outings and profiles in: all of them or, when anything fails, none. Durable when the promise resolves. Two outings
 * of one id in the same file are kept as two. Profiles are joined: a calibration that is there stays as it is.
 */
export async function takeIn(
  database: CairnDatabase,
  outings: readonly Outing[],
  profiles: readonly PaceProfile[],
  onClash: (outing: Outing) => Clash,
  { now, newId }: { readonly now: Date; readonly newId: () => string },
): Promise<TakenIn> {
  const at = now.toISOString();
  const done = { added: 0, replaced: 0, skipped: 0, ids: [] as string[] };
  const checked = outings.map((outing) => outingSchema.parse(outing));
  await database.transaction('rw', database.changes, database.profiles, async () => {
    const write = (outing: string, number: number, change: Change) =>
      database.changes.add({ outing, number, at, change });
    const add = async (outing: Outing) => {
      await write(outing.id, 0, { kind: 'create', outing });
      done.added++;
      done.ids.push(outing.id);
    };
    for (const outing of checked) {
      const there = await standing(database, outing.id);
      if (!there) {
        await add(outing);
        continue;
      }
      const { page, damage } = there;
      // A damaged journal can't be written on: what comes in stands beside it.
      const unwritable = !page || damage !== null;
      const clash = unwritable || done.ids.includes(outing.id) ? 'keep-both' : onClash(outing);
      if (!unwritable && equal(page.outing, outing) && !page.discarded) {
        done.skipped++;
        done.ids.push(outing.id);
      } else if (clash === 'skip') {
        done.skipped++;
      } else if (clash === 'keep-both') {
        await add({ ...outing, id: newId() });
      } else {
        let number = page!.number;
        if (page!.discarded) await write(outing.id, ++number, { kind: 'recover' });
        const operations = rewriting(page!, outing);
        if (operations.length > 0) {
          await write(outing.id, ++number, { kind: 'edit', operations });
        }
        done.replaced++;
        done.ids.push(outing.id);
      }
    }
    for (const profile of profiles) await joinProfile(database, profile);
  });
  return done;
}

async function joinProfile(database: CairnDatabase, profile: PaceProfile): Promise<void> {
  const there = await database.profiles.get(profile.id);
  const known = new Set(there?.calibrations.map(({ id }) => id));
  const fresh = profile.calibrations.filter(({ id }) => !known.has(id));
  const calibrations = [...(there?.calibrations ?? []), ...fresh];
  await database.profiles.put({ ...profile, ...there, calibrations });
}
