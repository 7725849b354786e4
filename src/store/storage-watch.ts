import type { CairnDatabase } from './database';
import { keepCopy, keptChoice } from './kept-choice';

/** How many outings there were, in a place that browsers may keep when they empty the database. */
const HAD_KEY = 'cairn-last-had';
/** The outing that was worked on last, as the text of its log: a second place for it. */
const LOG_KEY = 'cairn-last-log';
/** A longer log would crowd out what else is kept there. */
const LONGEST_LOG = 200_000;

/** How many outings this device had when they were last looked at; 0 for a new one. */
export const hadOutings = (): number => Number(keptChoice(HAD_KEY) ?? 0);

/** What a person should know of the storage of this device. */
export type StorageNews =
  /** There were so many outings, and now there is nothing; `log` is the last one, if it is kept. */
  | { readonly kind: 'emptied'; readonly outings: number; readonly log: string | null }
  | { readonly kind: 'little-room'; readonly megabytes: number };

/** With less room than this a picture or a long day may not fit any more. */
export const LEAST_ROOM_BYTES = 50_000_000;

/** What the browser says of its room: how much is left; null where it does not say. */
type Estimate = () => Promise<{ quota?: number; usage?: number }> | undefined;

/** Looks whether the browser emptied the storage, or has little room left. */
export async function storageNews(
  database: CairnDatabase,
  estimate: Estimate,
): Promise<StorageNews | null> {
  const ids = (await database.changes.toCollection().primaryKeys()).map(([outing]) => outing);
  const count = new Set(ids).size;
  const had = hadOutings();
  if (count > 0) keepCopy(HAD_KEY, String(count), 'device');
  else if (had > 0) return { kind: 'emptied', outings: had, log: keptChoice(LOG_KEY) };
  const { quota, usage } = (await estimate()?.catch(() => null)) ?? {};
  if (quota === undefined || usage === undefined) return null;
  const room = quota - usage;
  return room < LEAST_ROOM_BYTES
    ? { kind: 'little-room', megabytes: Math.max(0, Math.round(room / 1e6)) }
    : null;
}

/** Keeps the log that is worked on in the second place. */
export function keepLastLog(text: string): void {
  keepCopy(LOG_KEY, text.length <= LONGEST_LOG ? text : null, 'device');
}

/** The person knows that the storage was emptied: it is not said again. */
export const forgetHad = (): void => void keepCopy(HAD_KEY, null, 'device');
