import { describe, expect, it } from 'vitest';
import { groundLayout, layoutScale } from '@/core/navigation/ground-layout';
import { wayHome } from '@/core/navigation/ways/way';
import { radians } from '@/core/units/units';
import { ownWords } from '@/views/pegs/words';
import { solvedLog } from '../../support/outings';

describe('pegs and string', () => {
  const demo = solvedLog('220 100m\n350 200m\n140 50m\n080 200m').solution;

  it('the table adds up to its closing string', () => {
    const { pegs, closing, scale } = groundLayout(demo, layoutScale(demo, 12));
    let [x, y] = [0, 0];
    for (const { bearingDegrees, units } of pegs) {
      x += units * Math.sin(radians(bearingDegrees));
      y += units * Math.cos(radians(bearingDegrees));
      expect((units * 4) % 1).toBe(0);
    }
    expect(closing.units).toBeCloseTo(Math.hypot(x, y), 9);
    expect(closing.metres).toBeCloseTo(closing.units * scale, 9);
    const home = wayHome(demo);
    expect(Math.abs(closing.bearingDegrees - home.bearing.magnetic!)).toBeLessThan(3);
    expect(Math.abs(closing.metres - home.distanceMetres)).toBeLessThan(scale / 2);
  });

  it('the scale is the largest round one whose layout fits the room', () => {
    expect(layoutScale(demo, 12)).toBe(20);
    expect(layoutScale(demo, 12.2)).toBe(20);
    expect(layoutScale(demo, 24)).toBe(10);
    expect(layoutScale(demo, 2)).toBe(200);
    expect(layoutScale(demo, 1e-9)).toBe(10_000);
  });

  it('leaves side trips out, and gives magnetic bearings', () => {
    const { solution } = solvedLog('declination 10 E\n010T 100m > A\n090T 50m\nfrom A\n100T 100m');
    const { pegs } = groundLayout(solution, 10);
    expect(pegs.map(({ bearingDegrees }) => bearingDegrees)).toEqual([0, 90]);
  });

  it('says how far off a layout was, and where one would have ended', () => {
    const home = { degrees: 100, metres: 300 };
    expect(ownWords({ degrees: 90, metres: 300 }, home)).toBe(
      '10° too far left, 0 m too long: you would have ended 52 m from home.',
    );
    expect(ownWords({ degrees: 100, metres: 280 }, home)).toMatch(/20 m too short.*ended 20 m/);
  });
});
