import { describe, expect, it } from 'vitest';
import { dice, mutated, readMutated, SOURCES } from '../support/mutated-files';

/** A share of the long run (`npm run faults`), with another seed each file format. */
describe('damaged files', () => {
  it.each(Object.keys(SOURCES).map((format, index) => [format, index] as const))(
    'of %s are read whole or refused in words, and never break the reader',
    async (format, index) => {
      const tally = await readMutated(format, 1500, 100 + index);
      expect(tally.crashes).toEqual([]);
      expect(tally.read + tally.refused).toBe(1500);
      // The damage is damage: most files are refused, and some pass.
      expect(tally.refused).toBeGreaterThan(150);
    },
  );

  it('are the same for a seed', () => {
    const once = mutated(SOURCES.log!, dice(5));
    expect(mutated(SOURCES.log!, dice(5))).toEqual(once);
    expect(once).not.toEqual(SOURCES.log);
  });
});
