import { describe, expect, it } from 'vitest';
import { sharedCovariance } from '@/core/errors/shared-errors';
import { placeOnMap, positionError, positionErrorEllipse } from '@/core/navigation/position-error';
import { solvedLog } from '../../support/outings';

const DEGREE = Math.PI / 180;
/** NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.4. */
const CHI_SQUARE = 5.9915;

/** A bearing that is written in whole degrees is read to one of them. */
const FINE = 1 / Math.sqrt(12);

describe('errors shared by the whole outing', () => {
  it('turn and scale it: J = (y, -x) and (x, y)', () => {
    const error = { source: 'compass', key: 'c', about: '', of: 'bearing', sigma: 0.03 } as const;
    const scale = {
      ...error,
      source: 'pace-length',
      key: 'p',
      of: 'distance',
      sigma: 0.04,
    } as const;
    const found = sharedCovariance([
      { error, east: 300, north: 400 },
      { error: scale, east: 300, north: 400 },
    ]);
    expect(found.xx).toBeCloseTo((400 * 0.03) ** 2 + (300 * 0.04) ** 2, 9);
    expect(found.xy).toBeCloseTo(-300 * 400 * 0.03 ** 2 + 300 * 400 * 0.04 ** 2, 9);
    expect(found.yy).toBeCloseTo((300 * 0.03) ** 2 + (400 * 0.04) ** 2, 9);
  });

  it('count on the map, and not for the way home where both ways share them', () => {
    const { solution } = solvedLog('pace 1 m\n000 1000p');
    const map = placeOnMap(solution, 1);
    // Along: 5 % of the leg and 4 % of scale. Across: 2° of the bearing and 1.5° of the compass.
    expect(map.semiMajorMetres).toBeCloseTo(
      1000 * Math.hypot(0.05, 0.04) * Math.sqrt(CHI_SQUARE),
      2,
    );
    expect(map.semiMinorMetres).toBeCloseTo(
      1000 * Math.hypot(2, FINE, 1.5) * DEGREE * Math.sqrt(CHI_SQUARE),
      2,
    );
    const atHome = positionErrorEllipse(solution, 1, 0);
    expect(atHome.semiMajorMetres).toBeCloseTo(
      1000 * Math.hypot(0.05, 0.05) * Math.sqrt(CHI_SQUARE),
      2,
    );
  });

  it('cancel only as far as both ways have them: paces do not for legs in metres', () => {
    const { yy } = positionError(solvedLog('pace 1 m\n000 100m').solution, 1, 0);
    expect(yy).toBeCloseTo(5 ** 2 + 5 ** 2 + 4 ** 2, 9);
    // And nobody made a pace error on the map.
    expect(placeOnMap(solvedLog('pace 1 m\n000 100m').solution, 1).semiMajorMetres).toBeCloseTo(
      5 * Math.sqrt(CHI_SQUARE),
      3,
    );
  });

  it('of many calibrations are kept apart up to a limit, and cost no more beyond it', () => {
    const lines = Array.from({ length: 60 }, (_, i) => `pace ${1 + i / 1000} m\n000 10p`);
    const { solution } = solvedLog(lines.join('\n'));
    const { shared } = solution.places.relative(0, 60);
    expect(shared.filter(({ error }) => error.source === 'pace-length')).toHaveLength(20);
    const sum = shared
      .filter(({ error }) => error.of === 'distance')
      .reduce((total, { north }) => total + north, 0);
    expect(sum).toBeCloseTo(solution.places.at(60).north, 6);
  });
});

describe('the aim', () => {
  it('is in use for the lines that follow, and at the end for the walk home', () => {
    const across = (text: string) => positionError(solvedLog(text).solution, 1, 0).xx;
    const of = (...degrees: number[]) => (100 * DEGREE * Math.hypot(...degrees)) ** 2;
    expect(across('000 100m')).toBeCloseTo(of(2, 2, FINE, FINE), 9);
    expect(across('aim needle\n000 100m')).toBeCloseTo(of(4, 4, FINE, FINE), 9);
    // Another aim holds the compass in another way: 1.5° out and 1.5° home.
    const changed = of(4, 1, FINE, FINE, 1.5, 1.5);
    expect(across('aim needle\n000 100m\naim sighted')).toBeCloseTo(changed, 9);
    expect(across('aim needle\n000 100m\nhome sighted')).toBeCloseTo(changed, 9);
    expect(across('000 100m\ncompass mirror')).toBeCloseTo(of(2, 2, FINE, FINE, 1.5, 1.5), 9);
  });

  it('a distance by time has 5 % of its own, and its speed 10 %', () => {
    const { solution } = solvedLog('000 2min@3kmh');
    // Timed home at the same speed: the speed cancels.
    expect(positionError(solution, 1, 0).yy).toBeCloseTo(5 ** 2 + 5 ** 2, 9);
    const paced = solvedLog('pace 1 m\n000 2min@3kmh').solution;
    expect(positionError(paced, 1, 0).yy).toBeCloseTo(5 ** 2 + 10 ** 2 + 5 ** 2 + 4 ** 2, 9);
  });
});

describe('readings', () => {
  const across = (text: string) => solvedLog(text).solution.places.relative(0, 1).covariance.xx;

  it.each([
    ['000', 1],
    ['000.5', 0.1],
    ['N', 90],
    ['NE', 45],
    ['NNE', 22.5],
    ['10mil', 360 / 6400],
    ['10gon', 0.9],
    ['N10E', 1],
  ])('%s is read to %d°', (written, width) => {
    const { legs } = solvedLog(`${written} 100m`).solution;
    const [leg] = legs;
    expect(leg!.acrossVariance).toBeCloseTo((2 * DEGREE) ** 2 + (width * DEGREE) ** 2 / 12, 12);
  });

  it('a back bearing is a second reading of the line: half the variance, the mean bearing', () => {
    expect(across('000 100m back 180')).toBeCloseTo(across('000 100m') / 2, 9);
    const [leg] = solvedLog('000 100m back 184').solution.legs;
    expect(leg!.bearingDegrees).toBeCloseTo(2, 9);
    const [around] = solvedLog('359 100m back 181').solution.legs;
    expect(around!.bearingDegrees).toBeCloseTo(0, 9);
  });

  it('one that disagrees by more than 5° leaves the leg as read, and speaks of iron', () => {
    const [leg] = solvedLog('000 100m back 188').solution.legs;
    expect(leg!.bearingDegrees).toBe(0);
    const [alone] = solvedLog('000 100m').solution.legs;
    expect(leg!.acrossVariance).toBeCloseTo(alone!.acrossVariance + (8 * DEGREE) ** 2 / 2, 9);
  });
});
