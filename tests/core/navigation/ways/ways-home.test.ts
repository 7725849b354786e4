import { describe, expect, it } from 'vitest';
import { totalVariance } from '@/core/errors/covariance';
import { positionError } from '@/core/navigation/position-error';
import { detectionChance } from '@/core/errors/detection';
import { detectionAlongLine } from '@/core/navigation/ways/aim-off';
import { chanceByMarks } from '@/core/navigation/ways/by-marks';
import { chanceOfSight } from '@/core/navigation/ways/chance-of-sight';
import {
  recommendation,
  type Recommendation,
  type WeighedWay,
} from '@/core/navigation/ways/recommendation';
import {
  aimOffHome,
  azimuthFrom,
  retraceLegs,
  straightHome,
  viaStation,
  type WayHome,
} from '@/core/navigation/ways/ways-home';
import { aimOffWords, chanceWords } from '@/views/shared/ways/words';
import { recommendationWords } from '@/views/way-home/planning-words';
import { solvedLog } from '../../../support/outings';
import { randomSource } from '../../../support/walks/random-source';

const { solution } = solvedLog(
  'pace 65 per 100 m\n000 300m > A\n090 400m > B\nfrom A\n270 10m\nhere B',
);
const aimed = (line: number, side: 'left' | 'right') => {
  const found = aimOffHome(solution, line, side);
  if (!found.ok) throw new Error(found.fault.code);
  return found.value;
};

describe('the ways home', () => {
  it('straight: the way between the two, with its position error', () => {
    const straight = straightHome(solution);
    expect(straight.metres).toBeCloseTo(500, 9);
    expect(straight.positionError).toEqual(positionError(solution, 2, 0));
  });

  it('retracing: each leg on its back bearing', () => {
    const back = retraceLegs(solution);
    expect(back.stretches.map(({ to }) => to)).toEqual(['A', 'Start']);
    expect(back.stretches.map(({ bearing }) => bearing.magnetic)).toEqual([270, 180]);
    expect(back.metres).toBeCloseTo(700, 9);
  });

  it('via another station: two straight stretches', () => {
    const via = viaStation(solution, 1);
    expect(via.metres).toBeCloseTo(700, 9);
    // 300² + 400² = 500²: over a right angle the walk's errors add up to the same, elsewhere.
    const straight = totalVariance(straightHome(solution).positionError);
    expect(totalVariance(via.positionError)).toBeCloseTo(straight, 6);
  });

  it('aiming off: out to the line, then along it', () => {
    const { stretches, aim, metres } = aimed(0, 'right');
    expect(stretches.map(({ to }) => to)).toEqual([null, 'Start']);
    expect(metres).toBeCloseTo(aim!.distanceMetres + aim!.alongMetres, 6);
    const flat = aimOffHome(solution, 233, 'left');
    expect(!flat.ok && aimOffWords(flat.fault)).toMatch(/Below 20°/);
  });

  it('a map bearing of a line needs a declination', () => {
    expect(azimuthFrom({ degrees: 95, north: 'true' }, solution.end.offset)).toBeNull();
    expect(azimuthFrom({ degrees: 95, north: 'magnetic' }, solution.end.offset)).toBe(95);
    const known = solvedLog('declination 19.1 W\n000 10m').solution;
    expect(azimuthFrom({ degrees: 95, north: 'magnetic' }, known.end.offset)).toBeCloseTo(75.9, 9);
  });
});

describe('the recommendation', () => {
  const straight = straightHome(solution);
  const aimOff = aimed(0, 'right');
  const retrace = retraceLegs(solution);
  const of = (way: WayHome, chance: number, arrivesInTheDark = false): WeighedWay => ({
    way,
    chance,
    arrivesInTheDark,
  });

  it.each<[string, [WeighedWay, ...WeighedWay[]], Partial<Recommendation>]>([
    ['nothing else', [of(straight, 0.2)], { kind: 'straight', why: 'no-better' }],
    [
      'a straight way that is sure, however sure the others are',
      [of(straight, 0.9), of(aimOff, 1), of(retrace, 1)],
      { kind: 'straight', why: 'shortest' },
    ],
    [
      'a line that is sure',
      [of(straight, 0.89), of(aimOff, 0.95), of(retrace, 0.2)],
      { kind: 'aim-off', why: 'surer' },
    ],
    [
      'two that are sure: the shorter',
      [of(straight, 0.5), of(aimOff, 0.95), of({ ...retrace, metres: 501 }, 0.92)],
      { kind: 'retrace', why: 'surer' },
    ],
    [
      'none that is sure: the surest, if it gains enough',
      [of(straight, 0.5), of(retrace, 0.61)],
      { kind: 'retrace', why: 'surer' },
    ],
    [
      'none that is worth its metres',
      [of(straight, 0.5), of(retrace, 0.59)],
      { kind: 'straight', why: 'no-better' },
    ],
    [
      'a sure line that ends in the dark',
      [of(straight, 0.5), of(aimOff, 0.95, true)],
      { kind: 'straight', why: 'light' },
    ],
    [
      'all in the dark: the surest',
      [of(straight, 0.5, true), of(aimOff, 0.95, true)],
      { kind: 'aim-off', why: 'all-dark' },
    ],
    [
      'all in the dark, and none surer',
      [of(straight, 0.5, true), of(retrace, 0.4, true)],
      { kind: 'straight', why: 'all-dark' },
    ],
  ])('with %s', (_name, ways, expected) => {
    expect(recommendation(ways)).toMatchObject(expected);
  });

  it('in the night it names the one to take at first light, or the surest', () => {
    const night = recommendation([of(straight, 0.5), of(aimOff, 0.95)], true);
    expect(night).toMatchObject({ kind: 'aim-off', why: 'night' });
    expect(recommendationWords(night)).toMatch(/^Aim off: by first light: it is dark now\. Stay/);
    const late = recommendation([of(straight, 0.5, true), of(retrace, 0.7, true)], true);
    expect(late).toMatchObject({ kind: 'retrace', why: 'night' });
  });

  it('says what it costs and gains, and that the person decides', () => {
    const found = recommendation([of(straight, 0.5), of(aimOff, 0.95)]);
    const extra = Math.round(aimOff.metres - 500);
    expect(recommendationWords(found)).toBe(
      `Aim off: ${extra} m more, and home comes in sight 19 in 20; straight, 1 in 2. You decide.`,
    );
    for (const [ways, words] of [
      [[of(straight, 0.95)], /^Straight: the shortest, and sure enough/],
      [[of(straight, 0.3)], /comes in sight only 1 in 4\. A path or shore/],
      [[of(straight, 0.3), of(aimOff, 0.95, true)], /a surer way would end in the dark/],
      [[of(straight, 0.3, true)], /every way ends in the dark/],
    ] as const) {
      expect(recommendationWords(recommendation([...ways]))).toMatch(words);
    }
  });

  it('the chance of a way is that of its end, or along its line', () => {
    expect(chanceOfSight(solution, straight, 25)).toBe(detectionChance(straight.positionError, 25));
    const along = detectionAlongLine(solution, solution.current, 0, aimOff.aim!, 25);
    expect(chanceOfSight(solution, aimOff, 25)).toBe(along);
    expect(along).toBeGreaterThan(chanceOfSight(solution, straight, 25));
  });
});

describe('a chance in words', () => {
  it.each([
    [1, 'almost certain'],
    [0.8, '4 in 5'],
    [0.5, '1 in 2'],
    [0.26, '1 in 4'],
    [0.01, 'less than 1 in 10'],
  ])('%d: %s', (chance, words) => expect(chanceWords(chance)).toBe(words));
});

describe('back along legs whose marks are recognised', () => {
  const LOG = ['pace 1 m', '000 300p > Ash', '050 300p', '090 300p > Birch', '140 300p > Cedar'];
  const walked = solvedLog(LOG.join('\n')).solution;
  const back = retraceLegs(walked);

  it('begins its error again at each mark that was named, and at no other', () => {
    expect(chanceByMarks(walked, 30)).toMatchObject({ last: 'Ash', hardest: 'Ash' });
    const named = (lines: readonly string[]) =>
      chanceByMarks(solvedLog(lines.join('\n')).solution, 30);
    // Without Ash the last stretch is from Birch; without any name nothing begins again.
    expect(named(LOG.map((line) => line.replace(' > Ash', '')))!.last).toBe('Birch');
    expect(named(LOG.map((line) => line.replace(/ >.*/, '')))).toBeNull();
  });

  it('has the chance of each by its own stretch, by walks that share no code', () => {
    const { normal, uniform } = randomSource(77);
    const range = 30;
    const radians = Math.PI / 180;
    // The same compass and stride both ways cancel; left are the readings' own errors, of the leg
    // as logged and of the leg walked back: 2° and a whole degree's rounding, 5 % of the count.
    const leg = () => {
      const across = 300 * radians * (2 * normal() + uniform() - 0.5);
      return [across, 300 * 0.05 * normal()] as const;
    };
    const walks = 40_000;
    const seen = (bearings: readonly number[]) => {
      let found = 0;
      for (let walk = 0; walk < walks; walk++) {
        let [east, north] = [0, 0];
        for (const bearing of bearings) {
          for (let twice = 0; twice < 2; twice++) {
            const [across, along] = leg();
            const [s, c] = [Math.sin(bearing * radians), Math.cos(bearing * radians)];
            east += across * c + along * s;
            north += along * c - across * s;
          }
        }
        if (Math.hypot(east, north) <= range) found++;
      }
      return found / walks;
    };
    const byMarks = chanceByMarks(walked, range)!;
    expect(byMarks).toMatchObject({ last: 'Ash', hardest: 'Ash' });
    expect(Math.abs(byMarks.chance - seen([0]))).toBeLessThan(0.01);
    expect(Math.abs(byMarks.hardestChance - seen([90, 50]))).toBeLessThan(0.01);
    // More than of all of it in one go.
    expect(detectionChance(back.positionError, range)).toBeLessThan(byMarks.chance - 0.2);
  });
});
