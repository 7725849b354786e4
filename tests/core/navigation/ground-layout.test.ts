import { describe, expect, it } from 'vitest';
import { groundLayout, layoutScale } from '@/core/navigation/ground-layout';
import { wayHome } from '@/core/navigation/ways/way';
import { radians } from '@/core/units/units';
import { ownWords } from '@/views/pegs/words';
import { stationName } from '@/core/survey/solution';
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

  it('between any two stations goes back to where their ways part, and on', () => {
    const { solution } = solvedLog('000 100m > A\n090 100m > B\nfrom A\n270 50m > C');
    const stations = new Map(
      solution.places.stations().map((each) => [stationName(solution, each), each]),
    );
    const ends = { from: stations.get('B')!, to: stations.get('C')! };
    const { pegs, closing } = groundLayout(solution, 25, { ends });
    expect(pegs.map(({ from, name, bearingDegrees, units }) => [from, bearingDegrees, units, name]))
      // From B back to A, the back bearing of the leg; then on to C.
      .toEqual([
        ['B', 270, 4, 'A'],
        ['A', 270, 2, 'C'],
      ]);
    expect(closing.bearingDegrees).toBeCloseTo(90, 9);
    expect(closing).toMatchObject({ units: 6, metres: 150 });
    expect(layoutScale(solution, 6, ends)).toBe(25);
    expect(layoutScale(solution, 5.9, ends)).toBe(50);
  });

  it('in tenths of a unit, at a scale of one’s own: an inch for 25 m', () => {
    const inch = groundLayout(demo, 25, { parts: 10 });
    expect(inch.pegs.map(({ units }) => units)).toEqual([4, 8, 2, 8]);
    const notebook = groundLayout(demo, 130, { parts: 10 });
    expect(notebook.pegs.map(({ units }) => units)).toEqual([0.8, 1.5, 0.4, 1.5]);
    expect(groundLayout(demo, 130).pegs.map(({ units }) => units)).toEqual([0.75, 1.5, 0.5, 1.5]);
  });

  it('says how far off a layout was, and where one would have ended', () => {
    const home = { degrees: 100, metres: 300 };
    expect(ownWords({ degrees: 90, metres: 300 }, home)).toBe(
      '10° too far left, 0 m too long: you would have ended 52 m from home.',
    );
    expect(ownWords({ degrees: 100, metres: 280 }, home)).toMatch(/20 m too short.*ended 20 m/);
  });
});
