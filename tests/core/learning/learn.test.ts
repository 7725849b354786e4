import { describe, expect, it } from 'vitest';
import { learn } from '@/core/learning/learn';
import { observationsOf, observationsOfCalibrations } from '@/core/learning/observations';
import { DEFAULT_ERRORS } from '@/core/model/error-settings';
import type { Calibration } from '@/core/model/pace-profile';
import { solvedLog } from '../../support/outings';
import { randomSource } from '../../support/walks/random-source';

const DEGREE = Math.PI / 180;
type Draw = ReturnType<typeof randomSource>;

/** A walker with sigmas of their own; nothing here is of the core's. */
interface Walker {
  readonly following: number;
  readonly paced: number;
}

/** A loop as such a walker logs it: readings that are off from legs that really close. */
function loopLog({ following, paced }: Walker, { normal, uniform }: Draw, hasBack: boolean) {
  const legs = Array.from({ length: 6 }, () => [360 * uniform(), 120 + 200 * uniform()] as const);
  let [x, y] = [0, 0];
  for (const [b, d] of legs) {
    x += d * Math.sin(b * DEGREE);
    y += d * Math.cos(b * DEGREE);
  }
  const home = [Math.atan2(-x, -y) / DEGREE, Math.hypot(x, y)] as const;
  const all = [...legs, home];
  const bearing = (b: number) =>
    String(Math.round((((b + following * normal()) % 360) + 360) % 360) % 360).padStart(3, '0');
  return all
    .map(([b, d], index) => {
      const back = hasBack ? ` back ${bearing(b + 180)}` : '';
      const to = index === all.length - 1 ? ' > Start' : '';
      return `${bearing(b)} ${(d / (1 + paced * normal())).toFixed(1)}p${back}${to}`;
    })
    .join('\n');
}

const learnedOf = (walker: Walker, seed: number, loops: number, hasBack: boolean) => {
  const draw = randomSource(seed);
  const observations = Array.from({ length: loops }, () =>
    observationsOf(solvedLog(`pace 1 m\n${loopLog(walker, draw, hasBack)}`).solution),
  ).flat();
  const found = learn(DEFAULT_ERRORS, observations);
  return Object.fromEntries(found.map((each) => [each.id, each]));
};

describe('learning from one’s own loops', () => {
  it('begins with the usual values, and stays there without any', () => {
    for (const { id, sigma, seen } of learn(DEFAULT_ERRORS, [])) {
      expect(sigma).toBeCloseTo(DEFAULT_ERRORS[id], 9);
      expect(seen).toBe(0);
    }
  });

  it('recovers simulated walkers within 15 % after 20 loops, in 9 of 10', () => {
    const draw = randomSource(99);
    let [following, paced] = [0, 0];
    const walkers = 60;
    for (let walker = 0; walker < walkers; walker++) {
      // Up to a fifth better or worse than usual.
      const own = { following: 2 * (0.8 + 0.4 * draw.uniform()), paced: 0.05 };
      own.paced *= 0.8 + 0.4 * draw.uniform();
      const found = learnedOf(own, 500 + walker, 20, true);
      if (Math.abs(found.landmark!.sigma / own.following - 1) <= 0.15) following++;
      if (Math.abs(found.paced!.sigma / own.paced - 1) <= 0.15) paced++;
    }
    expect(following / walkers).toBeGreaterThanOrEqual(0.9);
    expect(paced / walkers).toBeGreaterThanOrEqual(0.9);
  });

  it('comes ever nearer with more loops, also for a walker far from the usual', () => {
    const far = { following: 4, paced: 0.09 };
    const off = (loops: number) => {
      const found = learnedOf(far, 3, loops, false);
      return Math.abs(found.landmark!.sigma / 4 - 1) + Math.abs(found.paced!.sigma / 0.09 - 1);
    };
    expect(off(200)).toBeLessThan(off(20));
    expect(off(200)).toBeLessThan(0.4);
  });

  it('what no loop tells stays as usual: compass and pace cancel around one', () => {
    const found = learnedOf({ following: 3, paced: 0.05 }, 7, 30, false);
    // All but: the sums close only as well as the loop.
    expect(found.compass!.sigma).toBeCloseTo(1.5, 1);
    expect(found['pace-length']!.sigma).toBeCloseTo(0.04, 2);
    expect(found.needle!.seen).toBe(0);
  });

  it('a blunder teaches nothing', () => {
    const square = 'pace 1 m\n000 100p\n090 100p\n180 100p\n';
    const [fair, blunder] = ['270 103p > Start', '090 103p > Start'].map((last) =>
      learn(DEFAULT_ERRORS, observationsOf(solvedLog(square + last).solution)),
    );
    const of = (found: typeof fair) => found!.find(({ id }) => id === 'landmark')!;
    expect(of(fair).seen).toBeGreaterThan(0);
    expect(of(blunder)).toMatchObject({ seen: 0, sigma: expect.closeTo(2, 9) });
  });

  it('back bearings beyond the limit are not taken for good ones: the cut is counted', () => {
    const { normal } = randomSource(21);
    const lines = Array.from({ length: 800 }, () => {
      const at = (b: number) => String(Math.round(b + 4 * normal())).padStart(3, '0');
      return `${at(100)} 100m back ${at(280)}`;
    });
    const { solution } = solvedLog(`aim needle\n${lines.join('\n')}`);
    const needle = learn(DEFAULT_ERRORS, observationsOf(solution)).find(
      ({ id }) => id === 'needle',
    )!;
    expect(Math.abs(needle.sigma / 4 - 1)).toBeLessThan(0.12);
    expect(needle.least).toBeLessThan(needle.sigma);
    expect(needle.most).toBeGreaterThan(needle.sigma);
  });
});

describe('learning from calibrations', () => {
  it('takes the spread of the walks, and how lengths differ from day to day', () => {
    const { normal } = randomSource(5);
    const calibrations = Array.from({ length: 40 }, (_, day): Calibration => {
      const length = 1.54 * (1 + 0.02 * normal());
      return {
        id: String(day),
        at: new Date(Date.UTC(2026, 5, 1 + day)).toISOString(),
        course: { value: 100, unit: 'metres' },
        counted: 'paces',
        counts: Array.from({ length: 6 }, () => 100 / length / (1 + 0.03 * normal())),
      };
    });
    const found = learn(DEFAULT_ERRORS, observationsOfCalibrations(calibrations));
    const sigma = Object.fromEntries(found.map((each) => [each.id, each.sigma]));
    expect(sigma.paced).toBeGreaterThan(0.028);
    expect(sigma.paced).toBeLessThan(0.036);
    expect(sigma['pace-length']).toBeLessThan(0.034);
    expect(sigma['pace-length']).toBeGreaterThan(0.015);
  });
});
