import { describe, expect, it } from 'vitest';
import { placeOnMap, positionErrorEllipse } from '@/core/navigation/position-error';
import { solvedLog } from '../../support/outings';
import { logOf, mixedOuting, NAMED_OUTINGS } from '../../support/walks/outings';
import { shareInside, simulate } from '../../support/walks/simulator';
import type { PlainOuting } from '../../support/walks/plain-outing';

const TRIALS = 100_000;
/** So many mixtures that, with the named ones, there are more than forty outings. */
const MIXED = Array.from({ length: 26 }, (_, seed) => mixedOuting(seed));

/** What the stated ellipses hold of walks that were made by another program. */
function held(outing: PlainOuting) {
  const { solution } = solvedLog(logOf(outing));
  const ends = simulate(outing, TRIALS, 7);
  const home = positionErrorEllipse(solution, solution.current, 0);
  const map = placeOnMap(solution, solution.current);
  const share = (of: Float64Array, e: typeof home) =>
    shareInside(of, e.semiMajorMetres, e.semiMinorMetres, e.azimuthDegrees);
  return { home: share(ends.home, home), map: share(ends.map, map) };
}

const isCoarse = ({ legs }: PlainOuting) => legs.some(({ written }) => /^[NESW]+$/.test(written));

describe('the stated 95 % ellipses against walks of an independent simulator', () => {
  const found: { home: number; map: number }[] = [];

  it.each([...NAMED_OUTINGS, ...MIXED].map((outing) => [outing.name, outing] as const))(
    '%s',
    (_name, outing) => {
      const { home, map } = held(outing);
      // A compass point's error is uniform and ends sharper than a normal one: never less.
      const most = isCoarse(outing) ? 1 : 0.96;
      expect(
        [home, map].every((share) => share >= 0.94 && share <= most),
        `${home} ${map}`,
      ).toBe(true);
      if (!isCoarse(outing)) found.push({ home, map });
    },
  );

  it('hold 94.5 to 95.5 % in the mean', () => {
    expect(found.length).toBeGreaterThan(40);
    for (const of of ['home', 'map'] as const) {
      const mean = found.reduce((sum, each) => sum + each[of], 0) / found.length;
      expect(mean, of).toBeGreaterThan(0.945);
      expect(mean, of).toBeLessThan(0.955);
    }
  });
});
