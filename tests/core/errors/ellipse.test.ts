import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { legCovariance } from '@/core/errors/covariance';
import { ellipse, isInsideEllipse } from '@/core/errors/ellipse';
import { normals, uniform } from '@/core/errors/random';
import { positionError, positionErrorEllipse } from '@/core/navigation/position-error';
import { azimuthOf, lengthOf, polar } from '@/core/units/plane';
import { radians } from '@/core/units/units';
import { solvedLog } from '../../support/outings';

const DEGREE = Math.PI / 180;

/**
 * Chi-square, two degrees of freedom, 95 %: NIST/SEMATECH e-Handbook of Statistical Methods,
 * 1.3.6.7.4.
 */
const CHI_SQUARE = 5.9915;

describe('the ellipse', () => {
  it('of a leg due north: p·d along it, σ·d across it', () => {
    const { semiMajorMetres, semiMinorMetres, azimuthDegrees } = ellipse(
      legCovariance({ east: 0, north: 100 }, 0.05 ** 2, (2 * DEGREE) ** 2),
    );
    expect(semiMajorMetres).toBeCloseTo(5 * Math.sqrt(CHI_SQUARE), 3);
    expect(semiMinorMetres).toBeCloseTo(200 * DEGREE * Math.sqrt(CHI_SQUARE), 3);
    expect(azimuthDegrees).toBeCloseTo(0, 9);
  });

  it('is along its leg, with an azimuth in [0, 180), whatever the bearing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), (bearing) => {
        const leg = polar(bearing, 100);
        const { azimuthDegrees } = ellipse(legCovariance(leg, 0.05 ** 2, 0.01 ** 2));
        expect(azimuthDegrees >= 0 && azimuthDegrees < 180).toBe(true);
        expect(Math.abs(Math.sin((azimuthDegrees - bearing) * DEGREE))).toBeLessThan(1e-6);
      }),
    );
  });

  it('of nothing is nothing', () => {
    expect(ellipse({ xx: 0, xy: 0, yy: 0 })).toEqual({
      semiMajorMetres: 0,
      semiMinorMetres: 0,
      azimuthDegrees: 0,
    });
  });

  it('holds 95 % of a seeded simulation, within 2 %', () => {
    const { solution } = solvedLog('aim needle\n112 200m\n061 246m\n301 169m');
    const { semiMajorMetres, semiMinorMetres, azimuthDegrees } = positionErrorEllipse(
      solution,
      3,
      0,
    );
    const normal = normals(uniform(9));
    const home = solution.places.relative(3, 0);
    const legs = [
      [112, 200],
      [61, 246],
      [301, 169],
      [azimuthOf(home), lengthOf(home)],
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
    expect(ellipse({ xx: 1, xy: 0, yy: 1 }).semiMajorMetres).toBeCloseTo(2.4477, 4);
  });

  it('contains what is inside its tips, and nothing beyond them', () => {
    const { solution } = solvedLog('112 200m\n061 246m\n301 169m');
    const error = positionError(solution, 3, 0);
    const { semiMajorMetres, azimuthDegrees } = ellipse(error);
    expect(isInsideEllipse(error, polar(azimuthDegrees, 0.999 * semiMajorMetres))).toBe(true);
    expect(isInsideEllipse(error, polar(azimuthDegrees, 1.001 * semiMajorMetres))).toBe(false);
  });
});
