import { describe, expect, it } from 'vitest';
import { normals, uniform } from '@/core/errors/random';
import { sharedCovariance } from '@/core/errors/variance';
import { DEFAULT_ERRORS } from '@/core/model/error-settings';
import { placeOnMap, positionError, positionErrorEllipse } from '@/core/navigation/position-error';
import { wayHome } from '@/core/navigation/ways/way';
import { leg, outingOf, solved, solvedLog } from '../../support/outings';

const DEGREE = Math.PI / 180;
/** NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.4. */
const CHI_SQUARE = 5.9915;

describe('errors shared by the whole outing', () => {
  it('turn and scale it: J = (y, -x) and (x, y)', () => {
    const found = sharedCovariance(DEFAULT_ERRORS, { east: 300, north: 400 }, 0);
    const turn = (1.5 * DEGREE) ** 2;
    expect(found.xx).toBeCloseTo(400 ** 2 * turn + 300 ** 2 * 0.04 ** 2, 9);
    expect(found.xy).toBeCloseTo(-300 * 400 * turn + 300 * 400 * 0.04 ** 2, 9);
    expect(found.yy).toBeCloseTo(300 ** 2 * turn + 400 ** 2 * 0.04 ** 2, 9);
  });

  it('count on the map, and not for the way home', () => {
    const solution = solved(outingOf([leg(0, 1000)]));
    const map = placeOnMap(solution, 1);
    // Along: 5 % of the leg and 4 % of scale. Across: 2° of the bearing and 1.5° of the compass.
    expect(map.semiMajorMetres).toBeCloseTo(
      1000 * Math.hypot(0.05, 0.04) * Math.sqrt(CHI_SQUARE),
      2,
    );
    expect(map.semiMinorMetres).toBeCloseTo(
      1000 * Math.hypot(2, 1.5) * DEGREE * Math.sqrt(CHI_SQUARE),
      2,
    );
    const atHome = positionErrorEllipse(solution, 1, 0);
    expect(atHome.semiMajorMetres).toBeCloseTo(
      1000 * Math.hypot(0.05, 0.05) * Math.sqrt(CHI_SQUARE),
      2,
    );
  });
});

describe('the aim', () => {
  it('is in use for the lines that follow, and at the end for the walk home', () => {
    const across = (text: string) => positionError(solvedLog(text).solution, 1, 0).xx;
    expect(across('000 100m')).toBeCloseTo(2 * (100 * 2 * DEGREE) ** 2, 9);
    expect(across('aim needle\n000 100m')).toBeCloseTo(2 * (100 * 4 * DEGREE) ** 2, 9);
    expect(across('aim needle\n000 100m\naim sighted')).toBeCloseTo(
      (400 * DEGREE) ** 2 + (100 * DEGREE) ** 2,
      9,
    );
  });

  it('a distance by time has an error of 10 %', () => {
    const { solution } = solvedLog('000 2min@3kmh');
    expect(positionError(solution, 1, 0).yy).toBeCloseTo(10 ** 2 + 5 ** 2, 9);
  });
});

/** Where an outing and its way home end with random errors, without any code of the core. */
function simulated(legs: readonly [number, number][], trials: number, sharedErrors: boolean) {
  const next = normals(uniform(20260814));
  const [sigmaAim, sigmaLength] = [2 * DEGREE, 0.05];
  const plan = solved(outingOf(legs.map(([b, d]) => leg(b, d))));
  const back = wayHome(plan);
  const sums = { x: 0, y: 0, xx: 0, xy: 0, yy: 0 };
  for (let trial = 0; trial < trials; trial++) {
    const turn = sharedErrors ? 1.5 * DEGREE * next() : 0;
    const scale = sharedErrors ? 1 + 0.04 * next() : 1;
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

describe('the position error against a simulation', () => {
  const legs: [number, number][] = [
    [112, 200],
    [84, 146],
    [61, 246],
    [338, 185],
    [301, 169],
  ];
  const trials = 200_000;

  it('agrees within 2 %', () => {
    const { plan, xx, xy, yy } = simulated(legs, trials, false);
    const closed = positionError(plan, plan.current, 0);
    const size = closed.xx + closed.yy;
    expect(Math.abs(xx - closed.xx) / size).toBeLessThan(0.02);
    expect(Math.abs(xy - closed.xy) / size).toBeLessThan(0.02);
    expect(Math.abs(yy - closed.yy) / size).toBeLessThan(0.02);
  });

  it('is the same with errors that the way out and the way home share', () => {
    const { plan, xx, yy } = simulated(legs, trials, true);
    const closed = positionError(plan, plan.current, 0);
    // Shared errors are of second order: a scale of 4 % becomes 0.16 % of the uncertainty.
    expect(Math.abs((xx + yy) / (closed.xx + closed.yy) - 1)).toBeLessThan(0.02);
  });
});
