import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { signedDifference } from '@/core/angle';
import { missAtHome, pathCovariance, way } from '@/core/home';
import { ghostLeg } from '@/core/preview';
import { covarianceAt, solve, stationName, stationPoints } from '@/core/solve';
import { appendLeg, emptyTraverse, setLeg, workOut } from '@/core/traverse';
import { leg, outingOf, solved, solvedLog } from '../support/outings';

/** Bearing and distance home, magnetic. */
function home(entries: Parameters<typeof outingOf>[0]) {
  const solution = solved(outingOf(entries));
  const { bearing, distanceMetres } = way(solution, solution.current, 0);
  return { bearing: bearing.magnetic!, distance: distanceMetres };
}

describe('the way home', () => {
  // Common practice, no source; figures worked out by the formulas of docs/methods.md.
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
    const { east, north } = solved(outingOf([leg(0, 100), leg(90, 100), leg(180, 100)])).traverse;
    expect([east[3], north[3]]).toEqual([100, 0]);
  });

  it('gives the wind of the true direction where it is known, and of the magnetic where not', () => {
    const legs = [leg(40, 100)];
    const magnetic = way(solved(outingOf(legs)), 1, 0);
    expect([magnetic.wind, magnetic.windNorth]).toEqual(['SW', 'magnetic']);
    const angle = { degrees: 19.1, toward: 'W' } as const;
    const known = solved(outingOf(legs, { declination: { source: 'typed', angle } }));
    const real = way(known, 1, 0);
    expect([real.wind, real.windNorth]).toEqual(['S', 'true']);
    expect(real.bearing.true).toBeCloseTo(200.9, 9);
    expect(real.bearing.magnetic).toBeCloseTo(220, 9);
  });

  it('goes from any station to any other', () => {
    const { solution } = solvedLog('000 100m > A\n090 100m > B\nfrom A\n270 50m > C');
    const find = (name: string) => solution.stations.find(name, solution.traverse.legs)!;
    const across = way(solution, find('B'), find('C'));
    expect(across.bearing.magnetic).toBeCloseTo(270, 9);
    expect(across.distanceMetres).toBeCloseTo(150, 9);
    expect(stationPoints(solution).map((point) => stationName(solution, point))).toEqual([
      'Start',
      'A',
      'B',
      'C',
    ]);
  });
});

const someLegs = fc.array(
  fc.tuple(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 1, max: 500 })),
  { minLength: 1, maxLength: 20 },
);

describe('properties of the traverse', () => {
  it('splitting a leg changes nothing but the doubt', () => {
    fc.assert(
      fc.property(
        someLegs,
        fc.nat(),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        (legs, at, share) => {
          const whole = legs.map(([b, d]) => leg(b, d));
          const index = at % legs.length;
          const [b, d] = legs[index]!;
          const split = whole.toSpliced(index, 1, leg(b, d * share), leg(b, d * (1 - share)));
          const [one, two] = [solved(outingOf(whole)), solved(outingOf(split))];
          expect(two.traverse.east[two.current]).toBeCloseTo(one.traverse.east[one.current]!, 8);
          expect(two.traverse.north[two.current]).toBeCloseTo(one.traverse.north[one.current]!, 8);
          expect(two.walkedMetres).toBeCloseTo(one.walkedMetres, 8);
        },
      ),
    );
  });

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

  it('a side trip off the path adds nothing to the doubt between two stations', () => {
    const straight = solvedLog('000 100m > A\n090 100m > B').solution;
    const branched = solvedLog('000 100m > A\n180 900m > far\nfrom A\n090 100m > B').solution;
    const without = missAtHome(straight, straight.current, 0);
    const withTrip = missAtHome(branched, branched.current, 0);
    expect(withTrip.semiMajorMetres).toBeCloseTo(without.semiMajorMetres, 9);
    const far = branched.stations.find('far', 3)!;
    expect(pathCovariance(branched, far, branched.current).yy).toBeGreaterThan(
      pathCovariance(branched, far, branched.stations.find('A', 3)!).yy,
    );
  });

  it('solving twice gives the same and changes nothing', () => {
    const outing = Object.freeze(outingOf(Object.freeze([leg(12, 34), leg(56, 78)]) as never));
    for (const entry of outing.entries) Object.freeze(entry);
    const one = solve(outing);
    const two = solve(outing);
    expect(one.ok && two.ok && one.value.traverse).toEqual(two.ok && two.value.traverse);
  });
});

describe('the kernel', () => {
  it('has sine and cosine to 2.3e-16 for bearings in [0, 360]', () => {
    const count = 36_000;
    const traverse = emptyTraverse(count + 1);
    for (let i = 0; i <= count; i++) {
      const row = {
        from: 0,
        bearingDegrees: i / 100,
        lengthMetres: 1,
        alongVariance: 0,
        acrossVariance: 0,
      };
      setLeg(traverse, i + 1, row);
    }
    workOut(traverse, 1, count + 1);
    let worst = 0;
    for (let i = 0; i <= count; i++) {
      // The reference takes the half circle off in degrees first, where the subtraction is exact.
      const b = i / 100 > 180 ? i / 100 - 360 : i / 100;
      const half = Math.abs(b) > 90 ? Math.sign(b) * 180 - b : b;
      const sine = Math.sin((half * Math.PI) / 180);
      const cosine = (Math.abs(b) > 90 ? -1 : 1) * Math.cos((half * Math.PI) / 180);
      worst = Math.max(worst, Math.abs(traverse.east[i + 1]! - sine));
      // Near 90° the cosine's own argument is rounded; compare it as the sine of what is left to 90°.
      const rest = Math.sin(((90 - Math.abs(half)) * Math.PI) / 180) * Math.sign(cosine || 1);
      worst = Math.max(worst, Math.abs(traverse.north[i + 1]! - rest));
    }
    expect(worst).toBeLessThan(2.3e-16);
  });

  it('appended leg by leg gives the very numbers of the whole', () => {
    const outing = outingOf(
      Array.from({ length: 300 }, (_, i) => leg((i * 37) % 360, 10 + (i % 50))),
    );
    const { traverse } = solved(outing);
    let grown = emptyTraverse(1);
    for (let k = 1; k <= 300; k++) {
      grown = appendLeg(grown, {
        from: k - 1,
        bearingDegrees: traverse.bearingDegrees[k]!,
        lengthMetres: traverse.lengthMetres[k]!,
        alongVariance: traverse.alongVariance[k]!,
        acrossVariance: traverse.acrossVariance[k]!,
      });
    }
    expect(grown.legs).toBe(300);
    expect(grown.east.slice(0, 301)).toEqual(traverse.east.slice(0, 301));
    expect(grown.northVariance.slice(0, 301)).toEqual(traverse.northVariance.slice(0, 301));
  });
});

describe('a leg that is being typed', () => {
  it('ends where it would end once logged, with the same way home', () => {
    fc.assert(
      fc.property(someLegs, fc.integer({ min: 0, max: 359 }), (legs, bearing) => {
        const entries = legs.map(([b, d]) => leg(b, d));
        const before = solved(outingOf(entries));
        const ghost = ghostLeg(before, leg(bearing, 77));
        const after = solved(outingOf([...entries, leg(bearing, 77)]));
        if (!ghost.ok) throw new Error('a leg in metres can be shown');
        expect(ghost.value.east).toBeCloseTo(after.traverse.east[after.current]!, 9);
        expect(ghost.value.home.distanceMetres).toBeCloseTo(
          way(after, after.current, 0).distanceMetres,
          9,
        );
      }),
    );
  });

  it('that returns to a station is measured from the station', () => {
    const { solution } = solvedLog('000 100m > A\n090 100m');
    const ghost = ghostLeg(solution, leg(270, 90, { to: 'A' }));
    expect(ghost.ok && ghost.value.home.distanceMetres).toBe(100);
    expect(ghost.ok && ghost.value.east).toBeCloseTo(10, 9);
  });
});

describe('closures', () => {
  it('report where the leg ended less the station, and adjust nothing', () => {
    const { solution } = solvedLog('000 100m > A\n090 100m\n190 90m > Start\n045 10m');
    const [closure] = solution.closures;
    expect(closure).toMatchObject({ entry: 2, leg: 3, station: 'Start' });
    const dx = 100 + 90 * Math.sin((190 * Math.PI) / 180);
    expect(closure!.dxMetres).toBeCloseTo(dx, 9);
    expect(closure!.ofWalked).toBeCloseTo(closure!.metres / 290, 12);
    // The next leg leaves from the station as it stood.
    const { east, north } = solution.traverse;
    expect([east[4], north[4]]).toEqual([
      expect.closeTo(10 * Math.SQRT1_2, 9),
      expect.closeTo(10 * Math.SQRT1_2, 9),
    ]);
    expect(covarianceAt(solution, 0)).toEqual({ xx: 0, xy: 0, yy: 0 });
  });
});
