/** Times of several ways to do one thing, in turns, so that a busy moment affects all alike. */
export interface Timed {
  readonly name: string;
  readonly medianNanoseconds: number;
  readonly lowQuartile: number;
  readonly highQuartile: number;
}

const quantile = (sorted: readonly number[], share: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;

export const spread = (name: string, samples: readonly number[]): Timed => {
  const sorted = [...samples].sort((a, b) => a - b);
  return {
    name,
    medianNanoseconds: quantile(sorted, 0.5),
    lowQuartile: quantile(sorted, 0.25),
    highQuartile: quantile(sorted, 0.75),
  };
};

const WARM_MILLISECONDS = 100;

/** Runs each way in each round, often enough to be measured; nanoseconds for one run. */
export function rounds(
  ways: Readonly<Record<string, () => unknown>>,
  count: number,
  leastMilliseconds = 2,
): Timed[] {
  const names = Object.keys(ways);
  const repeats = new Map<string, number>();
  for (const name of names) {
    const way = ways[name]!;
    // Long enough for the compiler: the first runs of a short way would measure its interpreter.
    const begun = performance.now();
    do way();
    while (performance.now() - begun < WARM_MILLISECONDS);
    const start = performance.now();
    let runs = 0;
    while (performance.now() - start < leastMilliseconds * 2) {
      way();
      runs++;
    }
    repeats.set(name, Math.max(1, Math.ceil(runs / 2)));
  }
  const samples = new Map<string, number[]>(names.map((name) => [name, []]));
  for (let round = 0; round < count; round++) {
    for (let i = 0; i < names.length; i++) {
      // Each round begins with another way, so that none always follows the same neighbour.
      const name = names[(i + round) % names.length]!;
      const way = ways[name]!;
      const times = repeats.get(name)!;
      const start = performance.now();
      for (let run = 0; run < times; run++) way();
      samples.get(name)!.push(((performance.now() - start) * 1e6) / times);
    }
  }
  return names.map((name) => spread(name, samples.get(name)!));
}

/** Prints each time beside a yardstick. */
export function printed(
  timed: readonly Timed[],
  yardstick: string,
  per: number,
  unit: string,
): void {
  const base = timed.find(({ name }) => name === yardstick)!.medianNanoseconds;
  for (const { name, medianNanoseconds, lowQuartile, highQuartile } of timed) {
    const one = (medianNanoseconds / per).toFixed(2).padStart(9);
    const quartiles = `${(lowQuartile / base).toFixed(2)} to ${(highQuartile / base).toFixed(2)}`;
    const ratio = (medianNanoseconds / base).toFixed(2).padStart(7);
    console.log(`  ${name.padEnd(44)}${one} ns ${unit}  ${ratio} x  (${quartiles})`);
  }
}
