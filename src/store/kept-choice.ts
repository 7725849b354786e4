/**
 * Small things that a device remembers: choices, drafts, and what is typed and not logged. They are
 * kept in the database, durably; a copy in the browser's storage for choices is there at once when
 * a page begins. A killed browser may lose that copy's last seconds: then the database's counts.
 */

/** One of them as it is stored. */
export interface Kept {
  readonly key: string;
  /** Null once it is forgotten. */
  readonly value: string | null;
  /** When it was kept, in milliseconds; of the database and its copy, the later one counts. */
  readonly at: number;
}

/** Of the device, or of this tab alone: a tab's own survives a reload, and nothing else. */
export type Reach = 'device' | 'tab';

/** What keeps them durably. */
export interface KeptTable {
  put(kept: Kept): PromiseLike<unknown>;
  toArray(): PromiseLike<Kept[]>;
  bulkPut(kept: readonly Kept[]): PromiseLike<unknown>;
}

/** Ours among all that the browser's storage for choices holds. */
const PREFIX = 'cairn-';
/** Copies that are only there to be painted early, of what the database has anyhow. */
const COPIES = /^cairn-(home-|last-)/;
const STAMP = '@';

/** What a browser refuses to store holds for this page. */
const ofThisPage = new Map<string, string>();
const storage = (reach: Reach): Storage => (reach === 'device' ? localStorage : sessionStorage);
const pageKey = (key: string, reach: Reach) => `${reach} ${key}`;

/** What is remembered under a key; null for nothing. */
export function keptChoice(key: string, reach: Reach = 'device'): string | null {
  try {
    const kept = storage(reach).getItem(key);
    if (kept !== null) return kept;
  } catch {
    // Refused: what this page remembers is all there is.
  }
  return ofThisPage.get(pageKey(key, reach)) ?? null;
}

function putCopy(key: string, value: string | null, reach: Reach): boolean {
  ofThisPage.delete(pageKey(key, reach));
  try {
    if (value === null) storage(reach).removeItem(key);
    else storage(reach).setItem(key, value);
    return true;
  } catch {
    if (value !== null) ofThisPage.set(pageKey(key, reach), value);
    return false;
  }
}

/** Remembers a copy that can be thrown away, or for this tab. True if it survives a reload. */
export const keepCopy = putCopy;

let lastAt = 0;
/** Of each key the moment of the newest record: what was written before it is old when it ends. */
const newestAt = new Map<string, number>();

/** A record of now, later than any before it, whatever the clock does. */
export function keptNow(key: string, value: string | null): Kept {
  lastAt = Math.max(lastAt + 1, Date.now());
  newestAt.set(key, lastAt);
  return { key, value, at: lastAt };
}

const listeners = new Set<(key: string) => void>();
/** Calls back whenever something is kept, by this tab or another. */
export function onKept(listener: (key: string) => void): () => void {
  const otherTab = ({ key }: StorageEvent) => key !== null && listener(key);
  listeners.add(listener);
  addEventListener('storage', otherTab);
  return () => {
    listeners.delete(listener);
    removeEventListener('storage', otherTab);
  };
}

/** Takes note of a record that is in the database: its copy, and anyone who listens. */
export function takeKept({ key, value, at }: Kept): void {
  lastAt = Math.max(lastAt, at);
  if (at < (newestAt.get(key) ?? 0)) return;
  putCopy(key, value, 'device');
  putCopy(key + STAMP, String(at), 'device');
  for (const listener of listeners) listener(key);
}

/** What is remembered as JSON, an object; empty where nothing is, or nothing that can be read. */
export function keptObject(key: string): Record<string, unknown> {
  try {
    const kept: unknown = JSON.parse(keptChoice(key) ?? '{}');
    return typeof kept === 'object' && kept !== null ? (kept as Record<string, unknown>) : {};
  } catch {
    return {};
  }
}

/** The copies of this browser that are of things to keep. */
function copies(): Kept[] {
  try {
    // One that was forgotten has a stamp alone.
    const keys = new Set(
      Object.keys(localStorage).map((key) => (key.endsWith(STAMP) ? key.slice(0, -1) : key)),
    );
    return [...keys].flatMap((key) => {
      if (!key.startsWith(PREFIX) || COPIES.test(key)) return [];
      const at = Number(localStorage.getItem(key + STAMP) ?? 0);
      return [{ key, value: localStorage.getItem(key), at: Number.isFinite(at) ? at : 0 }];
    });
  } catch {
    return [];
  }
}

/**
 * Makes the copies and the database agree when the database is opened: the later one of each
 * counts. A copy of the same moment with something else was typed when the page was left. What an
 * older version kept as copies alone is written into the database.
 */
export async function agreeOnKept(table: KeptTable): Promise<void> {
  const stored = new Map((await table.toArray()).map((kept) => [kept.key, kept]));
  const here = new Map(copies().map((kept) => [kept.key, kept]));
  for (const kept of stored.values()) {
    const copy = here.get(kept.key);
    if (!copy || kept.at > copy.at) {
      if ((copy?.value ?? null) !== kept.value) takeKept(kept);
    }
    lastAt = Math.max(lastAt, kept.at);
  }
  const fresh = [...here.values()].filter(({ key, value, at }) => {
    const there = stored.get(key);
    return at > (there?.at ?? -1) || (at === there?.at && value !== there.value);
  });
  if (fresh.length > 0) await table.bulkPut(fresh);
}
