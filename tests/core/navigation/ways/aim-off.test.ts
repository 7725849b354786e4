import { describe, expect, it } from 'vitest';
import { aimOff } from '@/core/navigation/ways/aim-off';
import { azimuthOf, lengthOf } from '@/core/units/plane';
import { degrees, radians } from '@/core/units/units';
import { solvedLog } from '../../../support/outings';
import { logOf, mixedOuting, NAMED_OUTINGS } from '../../../support/walks/outings';
import { shareOnSide } from '../../../support/walks/simulator';
import type { PlainOuting } from '../../../support/walks/plain-outing';

const named = (name: string): PlainOuting =>
  NAMED_OUTINGS.find((outing) => outing.name === name) ?? expect.fail(name);

describe('aiming off', () => {
  const { solution } = solvedLog('aim needle\n180 1000m');

  it('on a line at right angles to the straight way is 1.645 sigmas across the heading', () => {
    const found = aimOff(solution, 1, 0, 90, 'right');
    if (!found.ok) throw new Error(found.fault.code);
    const { alongMetres, bearingDegrees, distanceMetres, turn, lineDegrees } = found.value;
    // Out and home over 1 km at 4°: σ across is √2·1000·4° = 98.7 m, to first order.
    expect(alongMetres).toBeGreaterThan(155);
    expect(alongMetres).toBeLessThan(172);
    expect(distanceMetres).toBeCloseTo(Math.hypot(1000, alongMetres), 6);
    expect(bearingDegrees).toBeCloseTo(degrees(Math.atan2(alongMetres, 1000)), 6);
    expect(turn).toBe('left');
    expect(lineDegrees).toBe(270);
  });

  it('the heading leads to the aim, on the wanted side, however the line lies', () => {
    const straight = solution.places.relative(1, 0);
    for (const line of [60, 90, 130, 240, 310]) {
      for (const side of ['left', 'right'] as const) {
        const found = aimOff(solution, 1, 0, line, side);
        if (!found.ok) throw new Error(found.fault.code);
        const { alongMetres, bearingDegrees, distanceMetres, lineDegrees } = found.value;
        const b = radians(bearingDegrees);
        const home = radians(lineDegrees);
        // On the heading to the line, then along the line: home.
        const east = distanceMetres * Math.sin(b) + alongMetres * Math.sin(home);
        const north = distanceMetres * Math.cos(b) + alongMetres * Math.cos(home);
        expect(east).toBeCloseTo(straight.east, 6);
        expect(north).toBeCloseTo(straight.north, 6);
        expect(Math.sin(b) > 0).toBe(side === 'right');
      }
    }
  });

  // Twelve meeting angles, to both sides, on outings whose ways share all, some and nothing.
  it.each([
    ['all shared', [30, 60, 90, 120, 150]],
    ['sighted out, needle home', [60, 90, 120]],
    ['rough out, the general pace home', [45, 90, 135]],
    ['a typed declination', [90]],
  ] as const)(
    '%s: meets the line on the wanted side in 94.5 to 95.5 %% of walks',
    (name, angles) => {
      const outing = named(name);
      const found = solvedLog(logOf(outing)).solution;
      const azimuth = azimuthOf(found.places.relative(found.current, 0));
      for (const angle of angles) {
        const side = angle % 60 === 0 ? 'left' : 'right';
        const aim = aimOff(found, found.current, 0, azimuth + angle, side);
        if (!aim.ok) throw new Error(aim.fault.code);
        const { bearingDegrees, lineDegrees } = aim.value;
        const share = shareOnSide(outing, bearingDegrees, lineDegrees + 180, 100_000, angle);
        expect(share, `${angle}°`).toBeGreaterThan(0.945);
        expect(share, `${angle}°`).toBeLessThan(0.955);
      }
    },
  );

  it('on mixed outings holds as well', () => {
    for (const seed of [1, 3, 10]) {
      const outing = mixedOuting(seed);
      const found = solvedLog(logOf(outing)).solution;
      const straight = found.places.relative(found.current, 0);
      if (lengthOf(straight) < 300) continue;
      const aim = aimOff(found, found.current, 0, azimuthOf(straight) + 80, 'right');
      if (!aim.ok) continue;
      const { bearingDegrees, lineDegrees } = aim.value;
      const share = shareOnSide(outing, bearingDegrees, lineDegrees + 180, 100_000, seed);
      expect(share, outing.name).toBeGreaterThan(0.94);
      expect(share, outing.name).toBeLessThan(0.96);
    }
  });

  it('is refused where the line is met at a flat angle, and at home', () => {
    const flat = aimOff(solution, 1, 0, 15, 'right');
    expect(!flat.ok && flat.fault.code).toBe('too-flat');
    const home = aimOff(solution, 0, 0, 90, 'left');
    expect(!home.ok && home.fault.code).toBe('at-home');
  });
});
