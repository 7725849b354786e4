import { describe, expect, it } from 'vitest';
import { normals, uniform } from '@/core/errors/random';
import { aimOff } from '@/core/navigation/ways/aim-off';
import { positionErrorAlong } from '@/core/navigation/position-error';
import { polar } from '@/core/units/plane';
import { degrees, radians } from '@/core/units/units';
import { solvedLog } from '../../../support/outings';

describe('aiming off', () => {
  const { solution } = solvedLog('aim needle\n180 1000m');

  it('on a line at right angles to the heading aims 1.645·σ to the side', () => {
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

  it('has settled: the aim is 1.645·σ along the line on the heading that it gives', () => {
    for (const line of [60, 90, 130, 240, 310]) {
      for (const side of ['left', 'right'] as const) {
        const found = aimOff(solution, 1, 0, line, side);
        if (!found.ok) throw new Error(found.fault.code);
        const { alongMetres, bearingDegrees, distanceMetres } = found.value;
        const b = radians(bearingDegrees);
        const aim = polar(bearingDegrees, distanceMetres);
        const error = positionErrorAlong(solution, 1, 0, aim);
        const [nx, ny] = [Math.cos(b), -Math.sin(b)];
        const across = Math.sqrt(nx * nx * error.xx + 2 * nx * ny * error.xy + ny * ny * error.yy);
        const along = across / Math.abs(Math.sin(radians(bearingDegrees - line)));
        expect(Math.abs(alongMetres - 1.6449 * along)).toBeLessThan(1);
        // The aim is on the wanted side of the straight way home, which is 000.
        expect(Math.sin(b) > 0).toBe(side === 'right');
      }
    }
  });

  it('meets the line on the wanted side in 95 % of simulated walks', () => {
    const found = aimOff(solution, 1, 0, 90, 'right');
    if (!found.ok) throw new Error(found.fault.code);
    const { bearingDegrees } = found.value;
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
    }
    expect(Math.abs(right / trials - 0.95)).toBeLessThan(0.02);
  });

  it('is refused where the line is met at a flat angle, and at home', () => {
    const flat = aimOff(solution, 1, 0, 15, 'right');
    expect(!flat.ok && flat.fault.code).toBe('too-flat');
    const home = aimOff(solution, 0, 0, 90, 'left');
    expect(!home.ok && home.fault.code).toBe('at-home');
  });
});
