/**
 * Gives each name once, with a number where it was given before: 2, 3, … Names are the same when
 * their keys are. It remembers each name's last number: ten thousand equal names take no longer
 * than ten thousand different ones.
 */
export function uniqueNames(
  keyOf: (name: string) => string,
  numbered: (name: string, number: number) => string,
): (wanted: string) => string {
  const used = new Set<string>();
  const next = new Map<string, number>();
  return (wanted) => {
    const key = keyOf(wanted);
    let name = wanted;
    let number = next.get(key) ?? 2;
    for (; used.has(keyOf(name)); number++) name = numbered(wanted, number);
    next.set(key, number);
    used.add(keyOf(name));
    return name;
  };
}
