import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Forks } from '@/core/survey/dead-reckoning/forks';
import { landmarkPlaces } from '@/core/survey/landmarks';
import { localAttractions } from '@/core/survey/local-attraction';
import { solvedLog } from '../../support/outings';

/** A tree of points: each leaves from one with a smaller number. */
const tree = fc
  .array(fc.nat(), { minLength: 1, maxLength: 120 })
  .map((picks) => Int32Array.of(0, ...picks.map((pick, index) => pick % (index + 1))));

/** The same by walking back: from the larger number to the one before it. */
function forkByWalking(from: Int32Array, a: number, b: number): number {
  let [one, other] = [a, b];
  while (one !== other) {
    if (one > other) one = from[one]!;
    else other = from[other]!;
  }
  return one;
}

describe('where two paths part', () => {
  it('is found as by walking back (500 trees)', () => {
    fc.assert(
      fc.property(tree, fc.nat(), fc.nat(), (from, p, q) => {
        const legs = from.length - 1;
        const [a, b] = [p % (legs + 1), q % (legs + 1)];
        expect(new Forks({ legs, from }).of(a, b)).toBe(forkByWalking(from, a, b));
      }),
      { numRuns: 500, seed: 3 },
    );
  });

  it('is found on a line of 200,000 legs and beside it', () => {
    const legs = 200_000;
    const from = Int32Array.from({ length: legs + 2 }, (_, k) => Math.max(0, k - 1));
    from[legs + 1] = 77;
    const forks = new Forks({ legs: legs + 1, from });
    expect(forks.of(0, legs)).toBe(0);
    expect(forks.of(legs + 1, legs)).toBe(77);
    expect(forks.of(legs, 123)).toBe(123);
  });
});

describe('sightings of one landmark', () => {
  const bearing = fc.integer({ min: 0, max: 359 });
  const sighting = fc.record({ bearing, moves: fc.boolean() });

  it('give a place only where two from different stations cross well (400 logs)', () => {
    let [placed, unplaced] = [0, 0];
    fc.assert(
      fc.property(fc.array(sighting, { minLength: 1, maxLength: 12 }), (sightings) => {
        let station = 0;
        const lines: string[] = [];
        const taken: { station: number; bearing: number }[] = [];
        for (const { bearing: value, moves } of sightings) {
          if (moves) {
            station++;
            lines.push('000 100m');
          }
          taken.push({ station, bearing: value });
          lines.push(`see ${value} ; summit`);
        }
        const crossing = taken.some((a) =>
          taken.some((b) => {
            const apart = Math.abs(a.bearing - b.bearing) % 180;
            return a.station !== b.station && Math.min(apart, 180 - apart) >= 12;
          }),
        );
        const [summit] = landmarkPlaces(solvedLog(lines.join('\n')).solution);
        // Lines that cross behind someone give none either.
        if (!crossing) expect(summit!.place).toBeNull();
        if (summit!.place) placed++;
        else unplaced++;
      }),
      { numRuns: 400, seed: 9 },
    );
    expect(placed).toBeGreaterThan(5);
    expect(unplaced).toBeGreaterThan(100);
  });

  it('cross well in the cases at the edge', () => {
    const place = (...bearings: number[]) =>
      landmarkPlaces(
        solvedLog(bearings.map((b) => `see ${b} ; summit\n000 100m`).join('\n')).solution,
      )[0]!.place;
    expect(place(78, 90)).not.toBeNull();
    expect(place(79, 90)).toBeNull();
    expect(place(1, 13)).not.toBeNull();
    expect(place(80, 80, 80, 80, 95)).not.toBeNull();
  });
});

describe('local attraction', () => {
  it('reaches along a chain of 50,000 lines from the one that is free of it', () => {
    const lines = Array.from({ length: 50_000 }, (_, k) => ({
      from: k,
      to: k + 1,
      forward: 90,
      back: k === 49_999 ? 270 : 270 - (k % 2 ? 8 : -8),
    }));
    const found = localAttractions(lines, 5);
    expect(found.size).toBe(50_001);
    expect(found.get(50_000)).toBe(0);
    expect(found.get(49_998)).toBeCloseTo(-8, 9);
  });
});
