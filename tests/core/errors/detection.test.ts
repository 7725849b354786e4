import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { detectionChance } from '@/core/errors/detection';
import { normalBelow } from '@/core/errors/normal';
import { normals, uniform } from '@/core/errors/random';
import { radians } from '@/core/units/units';

const round = (sigma: number) => ({ xx: sigma ** 2, xy: 0, yy: sigma ** 2 });

/** The same chance by another formula: the polar form without a mean, by the trapezoid rule. */
function polar(s1: number, s2: number, r: number): number {
  const steps = 20_000;
  let sum = 0;
  for (let i = 0; i < steps; i++) {
    const theta = (2 * Math.PI * i) / steps;
    const g = (Math.cos(theta) / s1) ** 2 + (Math.sin(theta) / s2) ** 2;
    sum += (1 - Math.exp((-r * r * g) / 2)) / g;
  }
  return sum / steps / (s1 * s2);
}

describe('the chance of detection', () => {
  // Abramowitz and Stegun, Handbook of Mathematical Functions, 1964, table 26.1.
  it.each([
    [0, 0.5],
    [1, 0.8413447],
    [1.6448536, 0.95],
    [-1.959964, 0.025],
    [3, 0.9986501],
  ])('the normal distribution at %d is %d', (z, expected) => {
    expect(Math.abs(normalBelow(z) - expected)).toBeLessThan(2e-7);
  });

  it.each([0.1, 0.5, 1, 1.1774, 2, 2.4477, 4])(
    'is 1 - exp(-r²/2σ²) where both sigmas are the same, at %d σ',
    (ratio) => {
      const found = detectionChance(round(20), 20 * ratio);
      expect(Math.abs(found - (1 - Math.exp((-ratio * ratio) / 2)))).toBeLessThan(1e-5);
    },
  );

  // Circular normal: 50 % within 1.1774 σ, 95 % within 2.4477 σ (standard tables).
  it('is 50 % within 1.1774 σ and 95 % within √5.9915 σ', () => {
    expect(detectionChance(round(1), 1.17741)).toBeCloseTo(0.5, 4);
    expect(detectionChance(round(1), Math.sqrt(5.9915))).toBeCloseTo(0.95, 4);
  });

  it.each([
    [10, 10, 12],
    [30, 10, 25],
    [30, 3, 25],
    [100, 1, 25],
    [5, 4, 60],
    [80, 60, 5],
  ])('for σ of %d and %d is that of the polar form, within 1e-4', (s1, s2, r) => {
    const turned = radians(37);
    const [c, s] = [Math.cos(turned), Math.sin(turned)];
    const covariance = {
      xx: s1 * s1 * c * c + s2 * s2 * s * s,
      xy: (s1 * s1 - s2 * s2) * c * s,
      yy: s1 * s1 * s * s + s2 * s2 * c * c,
    };
    expect(Math.abs(detectionChance(covariance, r) - polar(s1, s2, r))).toBeLessThan(1e-4);
  });

  it('with a mean is that of a simulation', () => {
    const normal = normals(uniform(11));
    let inside = 0;
    const trials = 400_000;
    for (let i = 0; i < trials; i++) {
      if (Math.hypot(18 + 30 * normal(), -9 + 12 * normal()) <= 25) inside++;
    }
    const found = detectionChance({ xx: 900, xy: 0, yy: 144 }, 25, { east: 18, north: -9 });
    expect(Math.abs(found - inside / trials)).toBeLessThan(0.002);
  });

  it('is 0 without sight, 1 without uncertainty, and grows with the range', () => {
    expect(detectionChance(round(5), 0)).toBe(0);
    expect(detectionChance(round(0), 5)).toBe(1);
    expect(detectionChance(round(0), 5, { east: 6, north: 0 })).toBe(0);
    expect(detectionChance({ xx: 100, xy: 0, yy: 0 }, 10)).toBeCloseTo(0.6827, 3);
    const sigma = fc.double({ min: 0.5, max: 200, noNaN: true });
    const range = fc.double({ min: 0.1, max: 300, noNaN: true });
    fc.assert(
      fc.property(sigma, sigma, range, range, (s1, s2, a, b) => {
        const chance = (r: number) => detectionChance({ xx: s1 * s1, xy: 0, yy: s2 * s2 }, r);
        const [near, far] = [chance(Math.min(a, b)), chance(Math.max(a, b))];
        expect(near >= 0 && far <= 1).toBe(true);
        expect(far - near).toBeGreaterThan(-2e-5);
      }),
    );
  });
});
