import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ownSpread, paceLengthSigma } from '@/core/errors/pace-errors';
import { DEFAULT_ERRORS } from '@/core/model/error-settings';
import type { Calibration } from '@/core/model/pace-profile';
import { calibrate } from '@/core/pacing/calibration';
import { newWalkSpread } from '@/core/pacing/new-walk-spread';
import { METRES_PER_FOOT } from '@/core/units/units';
import { faultWords, warningWords } from '@/views/pacing/words';
import { solvedLog } from '../../support/outings';
import { randomSource } from '../../support/walks/random-source';

type Walks = Pick<Calibration, 'course' | 'counted' | 'counts'>;
const walks = (value: number, counts: number[], more: Partial<Walks> = {}): Walks => ({
  course: { value, unit: 'metres' },
  counted: 'paces',
  counts,
  ...more,
});
const lengthOf = (given: Walks) => {
  const found = calibrate(given);
  if (!found.ok) throw new Error(found.fault.code);
  return found.value;
};

describe('the length of a pace', () => {
  // Common practice, no source: the worked figures of this block.
  it('50 ft walked three times at 8 paces is 6.25 ft a pace', () => {
    const given = walks(50, [8, 8, 8], { course: { value: 50, unit: 'feet' } });
    expect(lengthOf(given).paceMetres / METRES_PER_FOOT).toBeCloseTo(6.25, 12);
  });

  it('65 paces to 100 m make 200 m of 130 paces; 55 are 1.818 m a pace', () => {
    const { paceMetres } = lengthOf(walks(100, [65, 65, 65]));
    expect(200 / paceMetres).toBeCloseTo(130, 9);
    expect(lengthOf(walks(100, [55])).paceMetres).toBeCloseTo(1.818, 3);
  });

  it('29 paces at 65 per 100 m are 44.62 m; 55 counts a 100 m are 550 a kilometre', () => {
    expect(solvedLog('pace 65 per 100 m\n000 29p').solution.walkedMetres).toBeCloseTo(44.62, 2);
    expect(1000 / lengthOf(walks(100, [55])).paceMetres).toBeCloseTo(550, 9);
  });

  it('2 in on a map of 1:25 000 are 50 000 in, 4166.7 ft, 666.7 paces of 6.25 ft', () => {
    const onGround = 2 * 25_000;
    expect(onGround).toBe(50_000);
    expect(onGround / 12).toBeCloseTo(4166.7, 1);
    const log = solvedLog(`pace 6.25 ft\n000 ${(onGround / 12 / 6.25).toFixed(4)}p`);
    expect(log.solution.walkedMetres / METRES_PER_FOOT).toBeCloseTo(4166.7, 1);
    expect(onGround / 12 / 6.25).toBeCloseTo(666.7, 1);
  });

  it('single steps are half paces, and the mean is that of the counts', () => {
    const given = walks(100, [130, 132, 128], { counted: 'steps' });
    const { paceMetres, pacesPer100Metres, walks: each } = lengthOf(given);
    expect(paceMetres).toBeCloseTo(300 / 195, 12);
    expect(pacesPer100Metres).toBeCloseTo(65, 12);
    expect(each[0]).toBeCloseTo(100 / 65, 12);
  });

  it('the spread is the deviation over the mean, at least the rounding of a count', () => {
    const even = lengthOf(walks(100, [65, 65, 65]));
    expect(even.spread).toBeCloseTo(0.5 / (Math.sqrt(3) * 65), 12);
    const { spread } = lengthOf(walks(100, [60, 65, 70]));
    const [a, b, c] = [100 / 60, 100 / 65, 100 / 70];
    const mean = (a + b + c) / 3;
    const sample = Math.sqrt(((a - mean) ** 2 + (b - mean) ** 2 + (c - mean) ** 2) / 2);
    expect(spread).toBeCloseTo(sample / mean, 12);
    expect(lengthOf(walks(100, [65])).spread).toBeNull();
  });

  it('a new walk differs more than the few of a calibration: they may agree by chance', () => {
    // One walk tells no spread: the usual 5 %, of the walk and of its calibration.
    expect(newWalkSpread(null, 1)).toBeCloseTo(0.05 * Math.SQRT2, 12);
    const two = Math.sqrt((3 * 0.05 ** 2 + 0.01 ** 2) / 4);
    expect(newWalkSpread(0.01, 2)).toBeCloseTo(two * Math.sqrt(1.5), 12);
    // However well they agree, 2 % is the least.
    expect(newWalkSpread(0.001, 1000)).toBe(0.02);
  });

  it.each([2, 3, 5, 10])(
    'of %d walks, the stated sigmas hold 94 to 97 in 100 new walks',
    (count) => {
      const { normal } = randomSource(count);
      let [within, all] = [0, 0];
      for (let person = 0; person < 40_000; person++) {
        const spread = 0.02 + (0.06 * person) / 40_000;
        const aWalk = () => Math.max(10, (100 / 1.54) * (1 / (1 + spread * normal())));
        const given = walks(100, Array.from({ length: count }, aWalk));
        const found = lengthOf(given);
        const next = 100 / aWalk();
        const off = Math.abs(next / found.paceMetres - 1);
        const pace = {
          key: '',
          ground: '',
          spread: newWalkSpread(found.spread, count),
          walks: count,
        };
        // What a paced leg is stated with: its own error, and that of the length of the pace.
        const sigma = Math.hypot(
          ownSpread(pace, DEFAULT_ERRORS),
          paceLengthSigma(pace, DEFAULT_ERRORS),
        );
        if (off <= 1.96 * sigma) within++;
        all++;
      }
      expect(within / all).toBeGreaterThan(0.94);
      expect(within / all).toBeLessThan(0.97);
    },
  );

  it('is the same in any unit, and in single steps', () => {
    const metres = fc.double({ min: 10, max: 500, noNaN: true });
    const counts = fc.array(fc.integer({ min: 12, max: 400 }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(metres, counts, (course, walked) => {
        const inMetres = lengthOf(walks(course, walked)).paceMetres;
        const feet = { value: course / METRES_PER_FOOT, unit: 'feet' as const };
        const yards = { value: course / METRES_PER_FOOT / 3, unit: 'yards' as const };
        expect(lengthOf(walks(0, walked, { course: feet })).paceMetres).toBeCloseTo(inMetres, 9);
        expect(lengthOf(walks(0, walked, { course: yards })).paceMetres).toBeCloseTo(inMetres, 9);
        const doubled = walks(
          course,
          walked.map((count) => count * 2),
          { counted: 'steps' },
        );
        expect(lengthOf(doubled).paceMetres).toBeCloseTo(inMetres, 9);
      }),
    );
  });

  it.each([
    [walks(0, [65]), /needs a length above zero/],
    [walks(NaN, [65]), /needs a length above zero/],
    [walks(100, []), /at least one walk/],
    [walks(2, [30, 1, 30]), /Walk 2: a count of 1 is too small/],
    [walks(2, [2], { counted: 'steps' }), /Walk 1: a count of 2 is too small/],
  ])('%o is refused', (given, expected) => {
    const found = calibrate(given);
    expect(!found.ok && faultWords(found.fault)).toMatch(expected);
  });

  it.each([
    [
      walks(100, [65, 66, 130]),
      /Walk 3 has 2\.0 times the count of the others\. Were both feet counted\?/,
    ],
    [walks(100, [66, 65, 22]), /Walk 3 has 0\.3 times the count/],
    [walks(100, [60, 60, 77]), null],
    [walks(100, [60, 60, 79]), /Walk 3 has 1\.3 times the count.*Was a ten lost/],
    [walks(15, [10, 10]), /only 10 paces long/],
    [walks(100, [200, 200]), /A pace of 0\.50 m is unlikely/],
    [walks(100, [65]), /One walk can’t show/],
  ])('%o has this warning', (given, expected) => {
    const words = lengthOf(given).warnings.map(warningWords).join(' ');
    if (expected) expect(words).toMatch(expected);
    else expect(words).toBe('');
  });
});
