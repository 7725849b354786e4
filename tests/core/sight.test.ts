import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aimOff } from '@/core/aim-off';
import { ellipse } from '@/core/error-model';
import { missAtHome, missFor } from '@/core/home';
import { normalBelow } from '@/core/normal';
import { normals, uniform } from '@/core/random';
import { chanceOfSight } from '@/core/sight';
import { degrees, radians } from '@/core/units';
import { solvedLog } from '../support/outings';

const round = (sigma: number) => ({ xx: sigma ** 2, xy: 0, yy: sigma ** 2 });

/** Another way to the same figure: the polar form of a miss without a mean, by the trapezoid rule. */
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

describe('the chance of coming within sight', () => {
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
    'for a round doubt it is 1 - exp(-r²/2σ²), at %d σ',
    (ratio) => {
      const found = chanceOfSight(round(20), 20 * ratio);
      expect(Math.abs(found - (1 - Math.exp((-ratio * ratio) / 2)))).toBeLessThan(1e-5);
    },
  );

  // Circular normal: half of all lie within 1.1774 σ, 95 % within 2.4477 σ (standard tables; the square root of chi-square's 5.9915).
  it('half within 1.1774 σ, nineteen in twenty within the square root of 5.9915', () => {
    expect(chanceOfSight(round(1), 1.17741)).toBeCloseTo(0.5, 4);
    expect(chanceOfSight(round(1), Math.sqrt(5.9915))).toBeCloseTo(0.95, 4);
  });

  it.each([
    [10, 10, 12],
    [30, 10, 25],
    [30, 3, 25],
    [100, 1, 25],
    [5, 4, 60],
    [80, 60, 5],
  ])('for σ of %d and %d it is as the polar form has it, within 1e-4', (s1, s2, r) => {
    const turned = radians(37);
    const [c, s] = [Math.cos(turned), Math.sin(turned)];
    const covariance = {
      xx: s1 * s1 * c * c + s2 * s2 * s * s,
      xy: (s1 * s1 - s2 * s2) * c * s,
      yy: s1 * s1 * s * s + s2 * s2 * c * c,
    };
    expect(Math.abs(chanceOfSight(covariance, r) - polar(s1, s2, r))).toBeLessThan(1e-4);
  });

  it('with a mean it is as a seeded simulation has it', () => {
    const normal = normals(uniform(11));
    let inside = 0;
    const trials = 400_000;
    for (let i = 0; i < trials; i++) {
      if (Math.hypot(18 + 30 * normal(), -9 + 12 * normal()) <= 25) inside++;
    }
    const found = chanceOfSight({ xx: 900, xy: 0, yy: 144 }, 25, { east: 18, north: -9 });
    expect(Math.abs(found - inside / trials)).toBeLessThan(0.002);
  });

  it('is 0 without sight, certain without doubt, and grows with the range', () => {
    expect(chanceOfSight(round(5), 0)).toBe(0);
    expect(chanceOfSight(round(0), 5)).toBe(1);
    expect(chanceOfSight(round(0), 5, { east: 6, north: 0 })).toBe(0);
    expect(chanceOfSight({ xx: 100, xy: 0, yy: 0 }, 10)).toBeCloseTo(0.6827, 3);
    const sigma = fc.double({ min: 0.5, max: 200, noNaN: true });
    const range = fc.double({ min: 0.1, max: 300, noNaN: true });
    fc.assert(
      fc.property(sigma, sigma, range, range, (s1, s2, a, b) => {
        const chance = (r: number) => chanceOfSight({ xx: s1 * s1, xy: 0, yy: s2 * s2 }, r);
        const [near, far] = [chance(Math.min(a, b)), chance(Math.max(a, b))];
        expect(near >= 0 && far <= 1).toBe(true);
        expect(far - near).toBeGreaterThan(-2e-5);
      }),
    );
  });
});

describe('aiming off', () => {
  const { solution } = solvedLog('aim needle\n180 1000m');

  it('by the closed form on a line square to the heading: A = 1.645·σ across, aimed that far to the side', () => {
    const found = aimOff(solution, 1, 0, 90, 'right');
    expect(found.ok).toBe(true);
    if (!found.ok) return;
    const { alongMetres, bearingDegrees, distanceMetres, turn, lineDegrees } = found.value;
    // Out and home over 1 km at 4°: σ across is √2·1000·4° = 98.7 m, to first order.
    expect(alongMetres).toBeGreaterThan(155);
    expect(alongMetres).toBeLessThan(172);
    expect(distanceMetres).toBeCloseTo(Math.hypot(1000, alongMetres), 0);
    expect(bearingDegrees).toBeCloseTo(degrees(Math.atan2(alongMetres, 1000)), 1);
    expect(turn).toBe('left');
    expect(lineDegrees).toBe(270);
  });

  it('is settled: the aim is 1.645 times the doubt along the line on the heading that it gives', () => {
    for (const line of [60, 90, 130, 240, 310]) {
      for (const side of ['left', 'right'] as const) {
        const found = aimOff(solution, 1, 0, line, side);
        if (!found.ok) throw new Error(found.fault.code);
        const { alongMetres, bearingDegrees, distanceMetres } = found.value;
        const b = radians(bearingDegrees);
        const miss = missFor(
          solution,
          1,
          0,
          distanceMetres * Math.sin(b),
          distanceMetres * Math.cos(b),
        );
        const [nx, ny] = [Math.cos(b), -Math.sin(b)];
        const across = Math.sqrt(nx * nx * miss.xx + 2 * nx * ny * miss.xy + ny * ny * miss.yy);
        const along = across / Math.abs(Math.sin(radians(bearingDegrees - line)));
        expect(Math.abs(alongMetres - 1.6449 * along)).toBeLessThan(1);
        // The aim lies on the wanted side of the straight way home, which is 000.
        expect(Math.sin(b) > 0).toBe(side === 'right');
      }
    }
  });

  it('in a seeded simulation the line is met on the wanted side nineteen times in twenty', () => {
    const found = aimOff(solution, 1, 0, 90, 'right');
    if (!found.ok) throw new Error(found.fault.code);
    const { bearingDegrees, distanceMetres } = found.value;
    const normal = normals(uniform(5));
    let right = 0;
    const trials = 100_000;
    for (let i = 0; i < trials; i++) {
      const out = radians(180 + 4 * normal());
      const [x, y] = [
        1000 * (1 + 0.05 * normal()) * Math.sin(out),
        1000 * (1 + 0.05 * normal()) * Math.cos(out),
      ];
      const heading = radians(bearingDegrees + 4 * normal());
      // Walked until the line is met, however far that is.
      const metAt = x - y * Math.tan(heading);
      if (metAt > 0) right++;
      void distanceMetres;
    }
    expect(Math.abs(right / trials - 0.95)).toBeLessThan(0.02);
  });

  it('is refused on a flat heading, and at home', () => {
    const flat = aimOff(solution, 1, 0, 15, 'right');
    expect(!flat.ok && flat.fault.code).toBe('too-flat');
    const home = aimOff(solution, 0, 0, 90, 'left');
    expect(!home.ok && home.fault.code).toBe('at-home');
  });
});

describe('the ellipse', () => {
  it('holds 95 % of a seeded simulation, within 2 %', () => {
    const { solution } = solvedLog('aim needle\n112 200m\n061 246m\n301 169m');
    const { semiMajorMetres, semiMinorMetres, azimuthDegrees } = missAtHome(solution, 3, 0);
    const normal = normals(uniform(9));
    const { east, north } = solution.traverse;
    const back = degrees(Math.atan2(-east[3]!, -north[3]!));
    const legs = [
      [112, 200],
      [61, 246],
      [301, 169],
      [back, Math.hypot(east[3]!, north[3]!)],
    ] as const;
    let inside = 0;
    const trials = 100_000;
    for (let i = 0; i < trials; i++) {
      let [x, y] = [0, 0];
      for (const [b, d] of legs) {
        const angle = radians(b + 4 * normal());
        const length = d * (1 + 0.05 * normal());
        x += length * Math.sin(angle);
        y += length * Math.cos(angle);
      }
      const a = radians(azimuthDegrees);
      const along = (x * Math.sin(a) + y * Math.cos(a)) / semiMajorMetres;
      const across = (x * Math.cos(a) - y * Math.sin(a)) / semiMinorMetres;
      if (along * along + across * across <= 1) inside++;
    }
    expect(Math.abs(inside / trials - 0.95)).toBeLessThan(0.02);
    expect(ellipse(round(1)).semiMajorMetres).toBeCloseTo(2.4477, 4);
  });
});
