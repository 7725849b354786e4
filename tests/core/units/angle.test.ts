import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  backBearing,
  circularMean,
  nearestCompassPoint,
  normalised,
  signedDifference,
  bearingDigits,
  compassPointBearing,
  COMPASS_POINTS,
  compassPointTolerance,
} from '@/core/units/angle';

const bearing = fc.double({ min: 0, max: 360, maxExcluded: true, noNaN: true });
const anyAngle = fc.double({ min: -1e6, max: 1e6, noNaN: true });

describe('bearings', () => {
  it('are in [0, 360), ends included', () => {
    expect(normalised(0)).toBe(0);
    expect(normalised(360)).toBe(0);
    expect(normalised(-0)).toBe(0);
    expect(Object.is(normalised(-0), 0)).toBe(true);
    expect(normalised(-1e-20)).toBe(0);
    fc.assert(
      fc.property(anyAngle, (angle) => {
        const found = normalised(angle);
        expect(found >= 0 && found < 360).toBe(true);
        expect(Math.abs(Math.sin(((found - angle) * Math.PI) / 360))).toBeLessThan(1e-9);
      }),
    );
  });

  it('differ by (-180, 180], and 180° is positive either way', () => {
    expect(signedDifference(350, 10)).toBe(20);
    expect(signedDifference(10, 350)).toBe(-20);
    expect(signedDifference(0, 180)).toBe(180);
    expect(signedDifference(180, 0)).toBe(180);
    fc.assert(
      fc.property(bearing, bearing, (a, b) => {
        const turn = signedDifference(a, b);
        expect(turn > -180 && turn <= 180).toBe(true);
        expect(normalised(a + turn)).toBeCloseTo(normalised(b), 8);
      }),
    );
  });

  // Common practice, no source.
  it.each([
    [330, 150],
    [150, 330],
    [0, 180],
    [180, 0],
    [359.5, 179.5],
  ])('the back bearing of %d is %d', (out, back) => {
    expect(backBearing(out)).toBe(back);
  });

  it('are averaged on the circle: 359 and 1 give 0, not 180', () => {
    expect(circularMean([359, 1])).toBeCloseTo(0, 10);
    expect(circularMean([10, 20, 30])).toBeCloseTo(20, 10);
    expect(circularMean([0, 180])).toBeNull();
    expect(circularMean([])).toBeNull();
  });

  it('show three digits, and what rounds to 360 shows as 000', () => {
    expect(bearingDigits(59)).toBe('059');
    expect(bearingDigits(359.4)).toBe('359');
    expect(bearingDigits(359.5)).toBe('000');
    expect(bearingDigits(0)).toBe('000');
  });

  it('16 compass points are 22.5° apart, and each has its own tolerance', () => {
    expect(COMPASS_POINTS.map(compassPointBearing)).toEqual(
      Array.from({ length: 16 }, (_, i) => i * 22.5),
    );
    expect(compassPointBearing('SSW')).toBe(202.5);
    expect(nearestCompassPoint(228)).toBe('SW');
    expect(nearestCompassPoint(338)).toBe('N');
    expect([
      compassPointTolerance('S'),
      compassPointTolerance('SW'),
      compassPointTolerance('SSW'),
    ]).toEqual([45, 28.125, 16.875]);
  });
});
