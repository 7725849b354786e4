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

/** How often a walker's own sigmas lie in what is stated of them, among so many walkers. */
function held(walkers: number, loops: number, hasBack: boolean, factor: (draw: Draw) => number) {
  let [following, paced] = [0, 0];
  for (let walker = 0; walker < walkers; walker++) {
    const draw = randomSource(1000 + walker);
    const own = { following: 2 * factor(draw), paced: 0.05 * factor(draw) };
    const found = learnedOf(own, 5000 + walker, loops, hasBack);
    const isIn = (id: string, sigma: number) =>
      found[id]!.least <= sigma && sigma <= found[id]!.most ? 1 : 0;
    following += isIn('landmark', own.following);
    paced += isIn('paced', own.paced);
  }
  return { following: following / walkers, paced: paced / walkers };
}

describe('learning from one’s own loops', () => {
  it('begins with the usual values, and stays there without any', () => {
    for (const { id, sigma, least, most, narrowed } of learn(DEFAULT_ERRORS, [])) {
      expect(sigma).toBeCloseTo(DEFAULT_ERRORS[id], 9);
      // A factor of 2.2 either way: 1.96 times 0.4 in the logarithm.
      expect([least / sigma, most / sigma]).toEqual([
        expect.closeTo(Math.exp(-0.784), 9),
        expect.closeTo(Math.exp(0.784), 9),
      ]);
      expect(narrowed).toBe(0);
    }
  });

  it('states an interval that holds for walkers as they come, after ten loops', () => {
    const { following, paced } = held(160, 10, false, ({ normal }) => Math.exp(0.4 * normal()));
    for (const share of [following, paced]) {
      expect(share).toBeGreaterThan(0.91);
      expect(share).toBeLessThan(1);
    }
  });

  it.each([0.6, 1.6])('and for one who errs %d times as much as the usual', (factor) => {
    const { following, paced } = held(60, 10, false, () => factor);
    expect(following).toBeGreaterThan(0.9);
    expect(paced).toBeGreaterThan(0.9);
  });

  it('comes nearer with more loops, and narrows as back bearings tell', () => {
    const far = { following: 3, paced: 0.09 };
    const found = [10, 60].map((loops) => learnedOf(far, 3, loops, true));
    const off = found.map(({ landmark, paced }) =>
      Math.max(Math.abs(landmark!.sigma / 3 - 1), Math.abs(paced!.sigma / 0.09 - 1)),
    );
    expect(off[1]).toBeLessThan(0.2);
    expect(found[1]!.landmark!.narrowed).toBeGreaterThan(0.85);
    expect(found[1]!.landmark!.narrowed).toBeGreaterThan(found[0]!.landmark!.narrowed);
  });

  it('says what loops can’t tell apart; back bearings do', () => {
    const own = { following: 2.4, paced: 0.04 };
    expect(learnedOf(own, 4, 40, false).landmark!.alike).toEqual(['paced']);
    expect(learnedOf(own, 4, 40, true).landmark!.alike).toEqual([]);
  });

  it('what no loop tells stays as usual: compass and pace cancel around one', () => {
    const found = learnedOf({ following: 3, paced: 0.05 }, 7, 30, false);
    for (const id of ['compass', 'pace-length', 'needle'] as const) {
      expect(found[id]!.sigma).toBeCloseTo(DEFAULT_ERRORS[id], 9);
      expect(found[id]!.narrowed).toBe(0);
    }
  });

  it('a blunder teaches next to nothing', () => {
    const square = 'pace 1 m\n000 100p\n090 100p\n180 100p\n';
    const learned = (last: string) =>
      learn(DEFAULT_ERRORS, observationsOf(solvedLog(square + last).solution)).find(
        ({ id }) => id === 'landmark',
      )!;
    // Off by 25 m, three sigmas and more, it widens; by 200 m it is a blunder.
    expect(learned('270 125p > Start').sigma).toBeGreaterThan(2.05);
    expect(Math.abs(learned('090 103p > Start').sigma / 2 - 1)).toBeLessThan(0.03);
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
    expect(sigma.paced).toBeGreaterThan(0.026);
    expect(sigma.paced).toBeLessThan(0.036);
    expect(sigma['pace-length']).toBeLessThan(0.034);
    expect(sigma['pace-length']).toBeGreaterThan(0.015);
  });
});
