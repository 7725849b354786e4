import { inTime } from './database';
import { keepCopy, keptChoice, keptNow, takeKept, type KeptTable } from './kept-choice';

const tableOfThisTab = async (): Promise<KeptTable> =>
  (await import('./browser-database')).browserDatabase().kept;

/** Called where the database would not keep something. */
export const NOT_KEPT = 'cairn-not-kept';

/**
 * Remembers something under a key; null forgets it. Resolves once it is durable, and only then is
 * it what is remembered. False where the database refused: then it holds as long as the browser
 * likes, and a notice says so.
 */
export async function keepChoice(
  key: string,
  value: string | null,
  table: () => Promise<KeptTable> = tableOfThisTab,
): Promise<boolean> {
  const isKept = await written(key, value, table);
  if (!isKept) globalThis.dispatchEvent?.(new Event(NOT_KEPT));
  return isKept;
}

async function written(
  key: string,
  value: string | null,
  table: () => Promise<KeptTable>,
): Promise<boolean> {
  const kept = keptNow(key, value);
  try {
    await inTime((await table()).put(kept));
    return true;
  } catch {
    return false;
  } finally {
    takeKept(kept);
  }
}

/** Keys that are being written, and what is to be written after that. */
const typing = new Map<string, { readonly next: string | null } | null>();

/**
 * The same for what is being typed, which the screen shows already: its copy comes first. While one
 * text is written only the newest waits, however fast it is typed.
 */
export function keepTyped(key: string, value: string | null): void {
  if (keptChoice(key) === value && !typing.has(key)) return;
  keepCopy(key, value, 'device');
  if (typing.has(key)) typing.set(key, { next: value });
  else void writeTyped(key, value);
}

async function writeTyped(key: string, first: string | null): Promise<void> {
  for (let value = first; ;) {
    typing.set(key, null);
    // What is typed is on the screen, and is logged or not: that is said where it is logged.
    await written(key, value, tableOfThisTab);
    const waiting = typing.get(key);
    if (!waiting) break;
    value = waiting.next;
  }
  typing.delete(key);
}
