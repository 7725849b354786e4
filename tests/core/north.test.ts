import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { signedDifference } from '@/core/angle';
import { converted, NORTHS, type North, type Norths } from '@/core/north';
import { marginDeclination } from '@/core/norths-of';
import { angleEast, paceMetres } from '@/core/reading';
import { plainDecimal } from '@/core/units';

const norths = (declinationEast: number | null, convergenceEast = 0): Norths => ({
  declinationEast,
  convergenceEast,
});
const to = (degrees: number, from: North, into: North, known: Norths) =>
  converted({ degrees, north: from }, into, known)?.degrees;

describe('conversion between norths', () => {
  // Common practice, no source: sums that people get wrong by hand. G is declination less convergence.
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

  it('without a declination there is no way from magnetic to true or grid', () => {
    expect(to(90, 'magnetic', 'true', norths(null))).toBeUndefined();
    expect(to(90, 'grid', 'magnetic', norths(null))).toBeUndefined();
    expect(to(90, 'magnetic', 'magnetic', norths(null))).toBe(90);
  });
});

describe('angles with a letter', () => {
  it('are east positive, minutes included', () => {
    expect(angleEast({ degrees: 19.1, toward: 'W' })).toBe(-19.1);
    expect(angleEast({ degrees: 2, minutes: 18, toward: 'E' })).toBeCloseTo(2.3, 12);
  });

  // Common practice, no source.
  it('from a margin move with the years: 2°18′ W, July 2009, 9′ E a year is 0°39′ W in July 2020', () => {
    const margin = {
      source: 'margin',
      angle: { degrees: 2, minutes: 18, toward: 'W' },
      year: 2009,
      changePerYear: { degrees: 0, minutes: 9, toward: 'E' },
    } as const;
    expect(marginDeclination(margin, '2020-07-01') * 60).toBeCloseTo(-39, 1);
    expect(marginDeclination({ ...margin, month: 7 }, '2020-07-01') * 60).toBeCloseTo(-39, 1);
  });

  it('from a margin: 3° W shrinking 1° in 4 years is 2° W after 4 years', () => {
    const margin = {
      source: 'margin',
      angle: { degrees: 3, toward: 'W' },
      year: 2020,
      changePerYear: { degrees: 0.25, toward: 'E' },
    } as const;
    expect(marginDeclination(margin, '2024-07-01')).toBeCloseTo(-2, 2);
  });
});

describe('units', () => {
  it('a pace in its three notations', () => {
    expect(paceMetres({ unit: 'per-100-m', value: 65 })).toBeCloseTo(1.538, 3);
    // Common practice, no source: 55 paces to 100 m is 1.818 m a pace.
    expect(paceMetres({ unit: 'per-100-m', value: 55 })).toBeCloseTo(1.818, 3);
    expect(paceMetres({ unit: 'feet', value: 5 })).toBeCloseTo(1.524, 12);
    expect(paceMetres({ unit: 'metres', value: 1.54 })).toBe(1.54);
  });

  it('numbers are written without an exponent, and read back the same', () => {
    expect(plainDecimal(1e-7)).toBe('0.0000001');
    expect(plainDecimal(1.5e21)).toBe('1500000000000000000000');
    fc.assert(
      fc.property(fc.double({ min: -1e25, max: 1e25, noNaN: true }), (value) => {
        const written = plainDecimal(value);
        expect(written).toMatch(/^-?\d+(\.\d+)?$/);
        expect(Number(written)).toBe(value === 0 ? 0 : value);
      }),
    );
  });
});
