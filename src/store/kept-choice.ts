/**
 * Small things that a device remembers: choices, and what is typed and not logged. A browser may
 * refuse its storage, or have none left: then they hold for this page, and nothing breaks.
 */
const ofThisPage = new Map<string, string>();

/** Of the device, or of this tab alone: a tab's own survives a reload too. */
export type Reach = 'device' | 'tab';

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

/** Remembers something under a key; null forgets it. True if it survives a reload. */
export function keepChoice(key: string, value: string | null, reach: Reach = 'device'): boolean {
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

/** What is remembered as JSON, an object; empty where nothing is, or nothing that can be read. */
export function keptObject(key: string): Record<string, unknown> {
  try {
    const kept: unknown = JSON.parse(keptChoice(key) ?? '{}');
    return typeof kept === 'object' && kept !== null ? (kept as Record<string, unknown>) : {};
  } catch {
    return {};
  }
}
