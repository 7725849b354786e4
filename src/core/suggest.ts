/** How many single-character changes lead from one text to another (Levenshtein 1966), at most `cap`. */
export function editDistance(a: string, b: string, cap: number): number {
  if (Math.abs(a.length - b.length) >= cap) return cap;
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++) {
      const replaced = row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1);
      next.push(Math.min(replaced, row[j]! + 1, next[j - 1]! + 1));
    }
    row = next;
  }
  return Math.min(row[b.length]!, cap);
}

/** Names compared in a long log: enough for any page that a person keeps, and bounded. */
const MOST_COMPARED = 2000;

/** The nearest of the names, letter case aside; undefined when none is near. */
export function nearestName(wanted: string, names: Iterable<string>): string | undefined {
  const lower = wanted.toLowerCase().slice(0, 60);
  let best: string | undefined;
  let least = Math.max(2, Math.ceil(lower.length / 3));
  let compared = 0;
  for (const name of names) {
    if (compared++ >= MOST_COMPARED) break;
    const distance = editDistance(lower, name.toLowerCase().slice(0, 60), least);
    if (distance < least) {
      least = distance;
      best = name;
    }
  }
  return best;
}
