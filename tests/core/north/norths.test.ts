import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { signedDifference } from '@/core/units/angle';
import { converted, type Norths } from '@/core/north/norths';
import { NORTHS, type North } from '@/core/units/bearing';

const norths = (declinationEast: number | null, convergenceEast = 0): Norths => ({
  declinationEast,
  convergenceEast,
});
const to = (degrees: number, from: North, into: North, known: Norths) =>
  converted({ degrees, north: from }, into, known)?.degrees;

describe('conversion between norths', () => {
  // Common practice, no source: sums that people get wrong by hand. G is D - C.
  it.each([
    [norths(13), 52, 'grid', 39, 'magnetic'],
    [norths(13), 210, 'magnetic', 223, 'grid'],
    [norths(13), 280, 'magnetic', 293, 'grid'],
    [norths(13), 336, 'magnetic', 349, 'grid'],
    [norths(13), 315, 'magnetic', 328, 'grid'],
    [norths(20), 180, 'true', 160, 'magnetic'],
    [norths(20), 150, 'magnetic', 170, 'true'],
    [norths(-3), 82, 'magnetic', 79, 'grid'],
    [norths(-2), 132, 'grid', 134, 'magnetic'],
    [norths(15, 2), 52, 'grid', 39, 'magnetic'],
    [norths(10, 2), 100, 'grid', 102, 'true'],
  ] as const)('%o: %d %s is %d %s', (known, from, fromNorth, expected, intoNorth) => {
    expect(to(from, fromNorth, intoNorth, known)).toBeCloseTo(expected, 10);
  });

  it('there and back is the identity, whatever the angles', () => {
    const north = fc.constantFrom(...NORTHS);
    const angle = fc.double({ min: -180, max: 180, noNaN: true });
    const bearing = fc.double({ min: 0, max: 360, maxExcluded: true, noNaN: true });
    fc.assert(
      fc.property(bearing, north, north, angle, angle, (degrees, a, b, d, c) => {
        const known = norths(d, c);
        const there = to(degrees, a, b, known)!;
        expect(there >= 0 && there < 360).toBe(true);
        expect(Math.abs(signedDifference(degrees, to(there, b, a, known)!))).toBeLessThan(1e-9);
      }),
    );
  });

  it('without a declination, magnetic can’t be converted to true or grid', () => {
    expect(to(90, 'magnetic', 'true', norths(null))).toBeUndefined();
    expect(to(90, 'grid', 'magnetic', norths(null))).toBeUndefined();
    expect(to(90, 'magnetic', 'magnetic', norths(null))).toBe(90);
  });
});
