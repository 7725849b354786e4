import { outingSchema, type Outing } from '../core/logbook';
import type { Change, ChangeRecord } from './change';
import type { CairnDatabase } from './database';
import { follow, type Page } from './journal';
import { isClash } from './store-fault';

/** An outing on the shelf; `damaged` when its journal can't be followed to its end. */
export interface Shelved {
  readonly page: Page;
  readonly damaged: boolean;
}

/** All outings that are not discarded, the last changed first. */
export async function shelf(database: CairnDatabase): Promise<Shelved[]> {
  const journals = new Map<string, ChangeRecord[]>();
  for (const record of await database.changes.toArray()) {
    const journal = journals.get(record.outing);
    if (journal) journal.push(record);
    else journals.set(record.outing, [record]);
  }
  const shelved: Shelved[] = [];
  for (const journal of journals.values()) {
    const { page, damage } = follow(null, journal);
    if (page && !page.discarded) shelved.push({ page, damaged: damage !== null });
  }
  return shelved.sort((a, b) => b.page.changedAt.localeCompare(a.page.changedAt));
}

/**
 * Puts an outing on the shelf, durable when the promise resolves. One that is there already under the same
 * id stays as it is, and comes back if it was discarded.
 */
export async function putOnShelf(
  database: CairnDatabase,
  outing: Outing,
  now: Date,
): Promise<void> {
  const create: Change = { kind: 'create', outing: outingSchema.parse(outing) };
  try {
    await database.changes.add({
      outing: outing.id,
      number: 0,
      at: now.toISOString(),
      change: create,
    });
  } catch (error) {
    if (!isClash(error)) throw error;
    await mark(database, outing.id, 'recover', now);
  }
}

/** Takes an outing off the shelf, or puts it back; its journal stays. */
export async function mark(
  database: CairnDatabase,
  id: string,
  kind: 'discard' | 'recover',
  now: Date,
): Promise<void> {
  await database.transaction('rw', database.changes, async () => {
    const journal = await database.changes
      .where('[outing+number]')
      .between([id, 0], [id, Infinity])
      .toArray();
    const { page } = follow(null, journal);
    if (!page || page.discarded === (kind === 'discard')) return;
    const number = page.number + 1;
    await database.changes.add({ outing: id, number, at: now.toISOString(), change: { kind } });
  });
}
