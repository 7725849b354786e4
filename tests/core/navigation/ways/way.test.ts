import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { positionErrorEllipse } from '@/core/navigation/position-error';
import { PreviewReckoning } from '@/core/navigation/preview';
import { isThere, way, wayHome, wayPoint } from '@/core/navigation/ways/way';
import { ENTRIES } from '@/core/entries/entry';
import type { Leg } from '@/core/entries/entry';
import { stationName, stationNamed, type Solution } from '@/core/survey/solution';
import { signedDifference } from '@/core/units/angle';
import { leg, outingOf, solved, solvedLog, someLegs } from '../../../support/outings';

/** Bearing and distance home, magnetic. */
function home(entries: Parameters<typeof outingOf>[0]) {
  const { bearing, distanceMetres } = wayHome(solved(outingOf(entries)));
  return { bearing: bearing.magnetic!, distance: distanceMetres };
}

describe('the way home', () => {
  // Common practice, no source; figures computed with the formulas of docs/methods.md.
  it.each([
    ['three sides of a square', [leg(0, 100), leg(90, 100), leg(180, 100)], 270, 100],
    ['one leg', [leg(330, 100)], 150, 100],
    ['four legs', [leg(120, 60), leg(160, 200), leg(260, 50), leg(310, 200)], 39.93, 127.88],
    ['four other legs', [leg(220, 100), leg(350, 200), leg(140, 50), leg(80, 200)], 228.09, 174.82],
  ] as const)('of %s', (_name, legs, bearing, distance) => {
    const found = home([...legs]);
    expect(found.bearing).toBeCloseTo(bearing, 2);
    expect(found.distance).toBeCloseTo(distance, 2);
  });

  it('is exact along the cardinal bearings', () => {
    const { places } = solved(outingOf([leg(0, 100), leg(90, 100), leg(180, 100)]));
    expect(places.at(3)).toEqual({ east: 100, north: 0 });
  });

  it('has the compass point of the bearing that is shown, from whichever north', () => {
    const legs = [leg(40, 100)];
    const magnetic = way(solved(outingOf(legs)), 1, 0);
    expect(wayPoint(magnetic, 'magnetic')).toBe('SW');
    const angle = { degrees: 19.1, toward: 'W' } as const;
    const known = solved(outingOf(legs, { declination: { source: 'typed', angle } }));
    const real = way(known, 1, 0);
    // 220 magnetic is SW, and S by the map: the word is of the figure beside it.
    expect(wayPoint(real, 'magnetic')).toBe('SW');
    expect(wayPoint(real, 'true')).toBe('S');
    expect(real.bearing.true).toBeCloseTo(200.9, 9);
    expect(real.bearing.magnetic).toBeCloseTo(220, 9);
  });

  it('goes from any station to any other', () => {
    const { solution } = solvedLog('000 100m > A\n090 100m > B\nfrom A\n270 50m > C');
    const find = (name: string) => stationNamed(solution, name)!;
    const across = way(solution, find('B'), find('C'));
    expect(across.bearing.magnetic).toBeCloseTo(270, 9);
    expect(across.distanceMetres).toBeCloseTo(150, 9);
    expect(solution.places.stations().map((each) => stationName(solution, each))).toEqual([
      'Start',
      'A',
      'B',
      'C',
    ]);
  });
});

describe('being there', () => {
  it.each([
    [0.99, true],
    [1, false],
  ])('at %d m: %s', (metres, there) => {
    expect(isThere(wayHome(solved(outingOf([leg(0, metres)]))))).toBe(there);
  });
});

describe('properties of the way home', () => {
  it('turning every bearing turns the way home by as much', () => {
    fc.assert(
      fc.property(someLegs, fc.integer({ min: 1, max: 359 }), (legs, turn) => {
        const before = home(legs.map(([b, d]) => leg(b, d)));
        const after = home(legs.map(([b, d]) => leg((b + turn) % 360, d)));
        expect(after.distance).toBeCloseTo(before.distance, 6);
        if (before.distance < 1) return;
        const turned = signedDifference(before.bearing + turn, after.bearing);
        expect(Math.abs(turned)).toBeLessThan(1e-6);
      }),
    );
  });

  it('a side trip off the path adds no uncertainty between two stations', () => {
    const straight = solvedLog('000 100m > A\n090 100m > B').solution;
    const branched = solvedLog('000 100m > A\n180 900m > far\nfrom A\n090 100m > B').solution;
    const without = positionErrorEllipse(straight, straight.current, 0);
    const withTrip = positionErrorEllipse(branched, branched.current, 0);
    expect(withTrip.semiMajorMetres).toBeCloseTo(without.semiMajorMetres, 9);
    const far = stationNamed(branched, 'far')!;
    const toFar = (from: number) => branched.places.relative(from, far).covariance.xx;
    expect(toFar(branched.current)).toBeGreaterThan(toFar(stationNamed(branched, 'A')!));
  });
});

/** A leg as it would be logged next. */
function previewOf(solution: Solution, typed: Leg) {
  const reckoning = new PreviewReckoning(solution);
  expect(ENTRIES.of(typed).apply(typed, reckoning)).toBeNull();
  return reckoning.leg!;
}

describe('a leg that is being typed', () => {
  it('ends where it would end once logged, with the same way home', () => {
    fc.assert(
      fc.property(someLegs, fc.integer({ min: 0, max: 359 }), (legs, bearing) => {
        const entries = legs.map(([b, d]) => leg(b, d));
        const before = solved(outingOf(entries));
        const preview = previewOf(before, leg(bearing, 77));
        const after = solved(outingOf([...entries, leg(bearing, 77)]));
        expect(preview.end.east).toBeCloseTo(after.places.at(after.current).east, 9);
        expect(preview.home.distanceMetres).toBeCloseTo(wayHome(after).distanceMetres, 9);
      }),
    );
  });

  it('that returns to a station: the way home is from the station', () => {
    const { solution } = solvedLog('000 100m > A\n090 100m');
    const preview = previewOf(solution, leg(270, 90, { to: 'A' }));
    expect(preview.home.distanceMetres).toBe(100);
    expect(preview.end.east).toBeCloseTo(10, 9);
  });
});
