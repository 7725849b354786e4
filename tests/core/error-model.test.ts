import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { biasCovariance, ellipse, legCovariance } from '@/core/error-model';
import { missAtHome, missCovariance, placeOnMap, way } from '@/core/home';
import { outingOf, solved, solvedLog, leg } from '../support/outings';
import { normals, uniform } from '@/core/random';

const DEGREE = Math.PI / 180;

/** The figure 5.9915 of the chi-square table: two degrees of freedom, 95 % (NIST/SEMATECH e-Handbook, 1.3.6.7.4). */
const CHI_SQUARE = 5.9915;

describe('the ellipse', () => {
  it('of a leg due north: p·d along it, σ·d across it', () => {
    const { semiMajorMetres, semiMinorMetres, azimuthDegrees } = ellipse(
      legCovariance(0, 100, 0.05 ** 2, (2 * DEGREE) ** 2),
    );
    expect(semiMajorMetres).toBeCloseTo(5 * Math.sqrt(CHI_SQUARE), 3);
    expect(semiMinorMetres).toBeCloseTo(200 * DEGREE * Math.sqrt(CHI_SQUARE), 3);
    expect(azimuthDegrees).toBeCloseTo(0, 9);
  });

  it('lies along its leg, with an azimuth in [0, 180), whatever the bearing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), (bearing) => {
        const [dx, dy] = [100 * Math.sin(bearing * DEGREE), 100 * Math.cos(bearing * DEGREE)];
        const { azimuthDegrees } = ellipse(legCovariance(dx, dy, 0.05 ** 2, 0.01 ** 2));
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
});

describe('errors common to the whole outing', () => {
  it('turn and scale the figure: J = (y, -x) and (x, y)', () => {
    const found = biasCovariance(300, 400, 0);
    const turn = (1.5 * DEGREE) ** 2;
    expect(found.xx).toBeCloseTo(400 ** 2 * turn + 300 ** 2 * 0.04 ** 2, 9);
    expect(found.xy).toBeCloseTo(-300 * 400 * turn + 300 * 400 * 0.04 ** 2, 9);
    expect(found.yy).toBeCloseTo(300 ** 2 * turn + 400 ** 2 * 0.04 ** 2, 9);
  });

  it('do not touch the miss at home, and do touch the place on the map', () => {
    const solution = solved(outingOf([leg(0, 1000)]));
    const map = placeOnMap(solution, 1);
    // Along: 5 % of the leg and 4 % of scale; across: 2° of aim and 1.5° of compass.
    expect(map.semiMajorMetres).toBeCloseTo(
      1000 * Math.hypot(0.05, 0.04) * Math.sqrt(CHI_SQUARE),
      2,
    );
    expect(map.semiMinorMetres).toBeCloseTo(
      1000 * Math.hypot(2, 1.5) * DEGREE * Math.sqrt(CHI_SQUARE),
      2,
    );
    const miss = missAtHome(solution, 1, 0);
    expect(miss.semiMajorMetres).toBeCloseTo(
      1000 * Math.hypot(0.05, 0.05) * Math.sqrt(CHI_SQUARE),
      2,
    );
  });
});

describe('the aim', () => {
  it('holds for the lines that follow, and the one at the end for the walk home', () => {
    const across = (text: string) => missCovariance(solvedLog(text).solution, 1, 0).xx;
    expect(across('000 100m')).toBeCloseTo(2 * (100 * 2 * DEGREE) ** 2, 9);
    expect(across('aim needle\n000 100m')).toBeCloseTo(2 * (100 * 4 * DEGREE) ** 2, 9);
    expect(across('aim needle\n000 100m\naim sighted')).toBeCloseTo(
      (400 * DEGREE) ** 2 + (100 * DEGREE) ** 2,
      9,
    );
  });

  it('a distance by time is worth 10 %', () => {
    const { solution } = solvedLog('000 2min@3kmh');
    expect(missCovariance(solution, 1, 0).yy).toBeCloseTo(10 ** 2 + 5 ** 2, 9);
  });
});

/** Walks the outing and the way home over and over with random errors, and sees where it ends. */
function walked(legs: readonly [number, number][], trials: number, commonErrors: boolean) {
  const next = normals(uniform(20260814));
  const [sigmaAim, sigmaLength] = [2 * DEGREE, 0.05];
  const plan = solved(outingOf(legs.map(([b, d]) => leg(b, d))));
  const back = way(plan, plan.current, 0);
  const sums = { x: 0, y: 0, xx: 0, xy: 0, yy: 0 };
  for (let trial = 0; trial < trials; trial++) {
    const turn = commonErrors ? 1.5 * DEGREE * next() : 0;
    const scale = commonErrors ? 1 + 0.04 * next() : 1;
    let [x, y] = [0, 0];
    for (const [b, d] of [...legs, [back.bearing.magnetic!, back.distanceMetres] as const]) {
      const along = d * scale * (1 + sigmaLength * next());
      const across = d * scale * sigmaAim * next();
      const angle = b * DEGREE + turn;
      x += along * Math.sin(angle) + across * Math.cos(angle);
      y += along * Math.cos(angle) - across * Math.sin(angle);
    }
    sums.x += x;
    sums.y += y;
    sums.xx += x * x;
    sums.xy += x * y;
    sums.yy += y * y;
  }
  const [mx, my] = [sums.x / trials, sums.y / trials];
  return {
    plan,
    xx: sums.xx / trials - mx * mx,
    xy: sums.xy / trials - mx * my,
    yy: sums.yy / trials - my * my,
  };
}

describe('against a seeded simulation', () => {
  const legs: [number, number][] = [
    [112, 200],
    [84, 146],
    [61, 246],
    [338, 185],
    [301, 169],
  ];
  const trials = 200_000;

  it('the miss at home agrees within 2 %', () => {
    const { plan, xx, xy, yy } = walked(legs, trials, false);
    const closed = missCovariance(plan, plan.current, 0);
    const size = closed.xx + closed.yy;
    expect(Math.abs(xx - closed.xx) / size).toBeLessThan(0.02);
    expect(Math.abs(xy - closed.xy) / size).toBeLessThan(0.02);
    expect(Math.abs(yy - closed.yy) / size).toBeLessThan(0.02);
  });

  it('errors common to the way out and the way home cancel', () => {
    const { plan, xx, yy } = walked(legs, trials, true);
    const closed = missCovariance(plan, plan.current, 0);
    // The common errors enter in second order alone: a scale of 4 % turns into 0.16 % of the doubt.
    expect(Math.abs((xx + yy) / (closed.xx + closed.yy) - 1)).toBeLessThan(0.02);
  });
});
