import { describe, expect, it } from 'vitest';
import type { Covariance } from '@/core/errors/covariance';
import { searchPattern } from '@/core/navigation/search-pattern';

const round = (sigma: number): Covariance => ({ xx: sigma ** 2, xy: 0, yy: sigma ** 2 });

/** Chance that home is within range of a way north, by a fine sum over the normal density. */
function seenFromWayNorth(sigma: number, range: number, metres: number): number {
  const steps = 1200;
  const [width, height] = [2 * range, metres + 2 * range];
  let sum = 0;
  for (let i = 0; i < steps; i++) {
    for (let j = 0; j < steps; j++) {
      const x = -range + ((i + 0.5) / steps) * width;
      const y = -range + ((j + 0.5) / steps) * height;
      const past = y < 0 ? -y : Math.max(0, y - metres);
      if (x * x + past * past > range * range) continue;
      sum += Math.exp(-(x * x + y * y) / (2 * sigma * sigma));
    }
  }
  return (sum * width * height) / (steps * steps * 2 * Math.PI * sigma * sigma);
}

describe('the expanding square', () => {
  const legs = searchPattern('square', round(20), 25, 350);

  it('turns 90° to the right, and its legs grow after every second one', () => {
    expect(legs.slice(0, 5).map(({ bearingDegrees }) => bearingDegrees)).toEqual([
      350, 80, 170, 260, 350,
    ]);
    expect(legs.slice(0, 5).map(({ metres }) => metres)).toEqual([40, 40, 80, 80, 120]);
  });

  it('covers more with each leg, and ends once 95 % are covered', () => {
    for (const [index, leg] of legs.entries()) {
      if (index > 0) expect(leg.covered).toBeGreaterThanOrEqual(legs[index - 1]!.covered);
    }
    expect(legs.at(-1)!.covered).toBeGreaterThanOrEqual(0.95);
    expect(legs.at(-2)!.covered).toBeLessThan(0.95);
  });

  it.each([
    [20, 0.005],
    [60, 0.005],
    [200, 0.001],
    [1000, 0.0001],
  ])('after its first leg it has covered the integral, for σ of %d m', (sigma, tolerance) => {
    const [first] = searchPattern('square', round(sigma), 25, 0);
    expect(Math.abs(first!.covered - seenFromWayNorth(sigma, 25, 40))).toBeLessThan(tolerance);
  });
});

describe('the sector search', () => {
  it('is nine legs of one length that end where they began', () => {
    const legs = searchPattern('sector', round(20), 25, 35);
    expect(legs).toHaveLength(9);
    const { east, north } = legs.at(-1)!.end;
    expect(Math.hypot(east, north)).toBeLessThan(1e-9);
    expect(new Set(legs.map(({ metres }) => metres)).size).toBe(1);
  });

  it('covers everything at once where nothing is uncertain', () => {
    const [first] = searchPattern('sector', round(1e-5), 10, 0);
    expect(first!.covered).toBeCloseTo(1, 6);
  });
});
