import { distance } from 'fastest-levenshtein';

/** How many single-character changes lead from one text to another (Levenshtein 1966). */
export const editDistance = (a: string, b: string): number => distance(a, b);

/** Names compared in a long log: enough for any log that a person keeps, and bounded. */
const MOST_COMPARED = 2000;
const MOST_CHARACTERS = 60;

const figures = (name: string) => name.replace(/\D+/g, ' ').trim();

/**
 * The nearest of the names with the same figures, whatever the letter case; undefined when none is
 * near.
 */
export function nearestName(wanted: string, names: Iterable<string>): string | undefined {
  const comparable = (name: string) => name.toLowerCase().slice(0, MOST_CHARACTERS);
  const sought = comparable(wanted);
  let best: string | undefined;
  let least = Math.max(2, Math.ceil(sought.length / 3));
  let compared = 0;
  for (const name of names) {
    if (compared++ >= MOST_COMPARED) break;
    const changes = editDistance(sought, comparable(name));
    if (changes < least && figures(name) === figures(wanted)) {
      least = changes;
      best = name;
    }
  }
  return best;
}
