import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { normalised, signedDifference } from '@/core/units/angle';
import { NORTHS, type North } from '@/core/units/bearing';
import { northEastOf, type Norths } from '@/core/north/norths';
import { declinationScaleMark, conversionSum } from '@/core/north/conversion-sum';

const norths = (declinationEast: number | null, convergenceEast = 0): Norths => ({
  declinationEast,
  convergenceEast,
});
const sumOf = (degrees: number, from: North, to: North, known: Norths) =>
  conversionSum({ degrees, north: from }, to, known)!;

describe('the sum as done by hand', () => {
  // Common practice, no source: sums that people get wrong by hand, with the sign that each takes.
  it.each([
    [norths(13), 52, 'grid', 39, 'magnetic', '−'],
    [norths(13), 210, 'magnetic', 223, 'grid', '+'],
    [norths(13), 280, 'magnetic', 293, 'grid', '+'],
    [norths(13), 336, 'magnetic', 349, 'grid', '+'],
    [norths(13), 315, 'magnetic', 328, 'grid', '+'],
    [norths(20), 180, 'true', 160, 'magnetic', '−'],
    [norths(20), 150, 'magnetic', 170, 'true', '+'],
    [norths(-3), 82, 'magnetic', 79, 'grid', '−'],
    [norths(-2), 132, 'grid', 134, 'magnetic', '+'],
    [norths(-19.1), 350, 'true', 9.1, 'magnetic', '+'],
  ] as const)('%o: %d %s is %d %s, by %s', (known, from, north, expected, to, sign) => {
    const sum = sumOf(from, north, to, known);
    expect(sum.end.degrees).toBeCloseTo(expected, 9);
    expect(Math.sign(sum.eastDegrees)).toBe(sign === '−' ? 1 : -1);
  });

  it('adds up, whatever the angles', () => {
    const north = fc.constantFrom(...NORTHS);
    const angle = fc.double({ min: -180, max: 180, noNaN: true });
    const bearing = fc.double({ min: 0, max: 360, maxExcluded: true, noNaN: true });
    fc.assert(
      fc.property(bearing, north, north, angle, angle, (degrees, from, to, d, c) => {
        const known = norths(d, c);
        const { end, rawDegrees, wrapDegrees, eastDegrees } = sumOf(degrees, from, to, known);
        expect(Math.abs(signedDifference(end.degrees, rawDegrees + wrapDegrees))).toBeLessThan(
          1e-9,
        );
        expect(eastDegrees).toBe(northEastOf(from, to, known));
        expect(rawDegrees).toBe(normalised(degrees) - eastDegrees);
      }),
    );
  });

  it('needs a declination, except within one north', () => {
    expect(conversionSum({ degrees: 5, north: 'true' }, 'magnetic', norths(null))).toBeNull();
    expect(sumOf(5, 'magnetic', 'magnetic', norths(null)).end.degrees).toBe(5);
  });
});

describe('the mark on a fixed declination scale', () => {
  it('is where the needle points when the housing’s N points to the wanted north', () => {
    expect(declinationScaleMark('true', norths(-19.1))).toBeCloseTo(340.9, 9);
    expect(declinationScaleMark('true', norths(12, 2))).toBeCloseTo(12, 9);
    expect(declinationScaleMark('grid', norths(12, 2))).toBeCloseTo(10, 9);
    expect(declinationScaleMark('magnetic', norths(12, 2))).toBe(0);
    expect(declinationScaleMark('true', norths(null))).toBeNull();
  });

  it('gives the same dial reading as the sum does', () => {
    // With the needle on the mark, the housing's N is true: a magnetic bearing b reads b + D.
    for (const d of [-25, -3, 0, 8, 40]) {
      const mark = declinationScaleMark('true', norths(d))!;
      const sum = sumOf(100, 'magnetic', 'true', norths(d));
      expect(normalised(100 + mark)).toBeCloseTo(sum.end.degrees, 9);
    }
  });
});
