import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { warningsOf } from '@/core/checks';
import { doubtShares } from '@/core/doubt-shares';
import { takePaces } from '@/core/edit/set-up';
import { applied } from '@/core/edit/operations';
import { faultWords as wordsOf } from '@/core/fault-words';
import { missAtHome, missCovariance } from '@/core/home';
import { readLog } from '@/core/log-text/read-log';
import { writeLog } from '@/core/log-text/write-log';
import type { Calibration, PaceProfile } from '@/core/logbook';
import { calibrated, distanceSigma, inForce, paceLines } from '@/core/pace-calibration';
import { METRES_PER_FOOT, METRES_PER_KILOMETRE } from '@/core/units';
import { faultWords, warningWords } from '@/views/paces/words';
import { anyOuting, solved, solvedLog } from '../support/outings';

type Walks = Pick<Calibration, 'course' | 'counted' | 'counts'>;
const walks = (value: number, counts: number[], more: Partial<Walks> = {}): Walks => ({
  course: { value, unit: 'metres' },
  counted: 'paces',
  counts,
  ...more,
});
const lengthOf = (given: Walks) => {
  const found = calibrated(given);
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

  it('the spread is the sample deviation over the mean, never below the rounding of a count', () => {
    const even = lengthOf(walks(100, [65, 65, 65]));
    expect(even.spread).toBeCloseTo(0.5 / (Math.sqrt(3) * 65), 12);
    const { spread } = lengthOf(walks(100, [60, 65, 70]));
    const [a, b, c] = [100 / 60, 100 / 65, 100 / 70];
    const mean = (a + b + c) / 3;
    const sample = Math.sqrt(((a - mean) ** 2 + (b - mean) ** 2 + (c - mean) ** 2) / 2);
    expect(spread).toBeCloseTo(sample / mean, 12);
    expect(lengthOf(walks(100, [65])).spread).toBeNull();
    expect(distanceSigma({ spread: 0.01 })).toBe(0.02);
    expect(distanceSigma({ spread: 0.06 })).toBe(0.06);
    expect(distanceSigma({ spread: null })).toBe(0.05);
  });

  it('any unit there and back is the same length', () => {
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
    const found = calibrated(given);
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
    [walks(100, [65]), /One walk can’t tell/],
  ])('%o is told', (given, expected) => {
    const words = lengthOf(given).warnings.map(warningWords).join(' ');
    if (expected) expect(words).toMatch(expected);
    else expect(words).toBe('');
  });
});

const calibration = (at: string, counts: number[], ground?: string): Calibration => ({
  id: at + (ground ?? ''),
  at,
  ...(ground === undefined ? {} : { ground }),
  ...walks(100, counts),
});

describe('a profile', () => {
  const profile: PaceProfile = {
    id: 'p',
    name: 'Mine',
    calibrations: [
      calibration('2026-06-01T10:00:00Z', [70, 71, 69], 'rough'),
      calibration('2026-07-01T10:00:00Z', [65, 65, 66]),
      calibration('2026-05-01T10:00:00Z', [60, 60, 60]),
      calibration('2026-08-01T10:00:00Z', [72, 76, 74], 'rough'),
    ],
  };

  it('has the newest calibration of a ground in force, and keeps the older ones', () => {
    expect(inForce(profile).get(undefined)?.counts).toEqual([65, 65, 66]);
    expect(inForce(profile).get('rough')?.counts).toEqual([72, 76, 74]);
    expect(profile.calibrations).toHaveLength(4);
  });

  it('gives an outing its numbers, the general one first, as lines of the log', () => {
    const lines = paceLines(profile);
    expect(lines).toEqual([
      { kind: 'pace', unit: 'per-100-m', value: 65.3, spreadPercent: 2 },
      { kind: 'pace', unit: 'per-100-m', value: 74, ground: 'rough', spreadPercent: 2.7 },
    ]);
    const blank = solvedLog('pace 80 per 100 m').outing;
    const taken = takePaces(lines)(blank, null);
    const after = taken.ok ? applied(blank, taken.value) : taken;
    expect(after.ok && writeLog(after.value).split('\n').slice(3, -1)).toEqual([
      'pace 65.3 per 100 m spread 2%',
      'pace rough 74 per 100 m spread 2.7%',
    ]);
    const walked = solvedLog('pace 80 per 100 m\n000 80p').outing;
    const later = takePaces(lines)(walked, null);
    const kept = later.ok ? applied(walked, later.value) : later;
    expect(kept.ok && solved(kept.value).walkedMetres).toBeCloseTo(100, 9);
  });
});

describe('grounds and slopes in the log', () => {
  const metres = (text: string) => solvedLog(text).solution.walkedMetres;
  const PACES = 'pace 65 per 100 m\npace rough 80 per 100 m spread 8%\npace heather 90 per 100 m\n';

  it('a leg is as long as its ground makes it, and its doubt with it', () => {
    expect(metres(`${PACES}000 65p`)).toBeCloseTo(100, 9);
    expect(metres(`${PACES}000 80p rough`)).toBeCloseTo(100, 9);
    expect(metres(`${PACES}000 160s rough`)).toBeCloseTo(100, 9);
    expect(metres(`${PACES}000 90p on heather`)).toBeCloseTo(100, 9);
    expect(metres(`${PACES}000 100m rough`)).toBe(100);
    const doubt = (text: string) => missCovariance(solvedLog(text).solution, 1, 0).yy;
    expect(doubt(`${PACES}000 80p rough`)).toBeCloseTo(8 ** 2 + 5 ** 2, 6);
    expect(doubt('pace 65 per 100 m spread 3%\n000 65p')).toBeCloseTo(2 * 3 ** 2, 6);
    // However well the walks agreed, 2 % is the least.
    expect(doubt('pace 65 per 100 m spread 1%\n000 65p')).toBeCloseTo(2 * 2 ** 2, 6);
  });

  it('a ground without a pace of its own falls back to the general one, and that is said once', () => {
    const { solution } = solvedLog(
      `${PACES}000 65p snow\n090 65p snow\n000 100m night\n000 80p rough`,
    );
    expect(solution.traverse.lengthMetres[1]).toBeCloseTo(100, 9);
    expect(warningsOf(solution)).toMatchObject([
      { code: 'ground-without-pace', at: { entry: 3 }, message: expect.stringMatching(/snow/) },
    ]);
  });

  it('rise over run is the same slope as its degrees', () => {
    expect(metres('000 100m up 1/5')).toBeCloseTo(100 * Math.cos(Math.atan(0.2)), 9);
    expect(metres('000 100m down 30/100')).toBeCloseTo(100 / Math.hypot(1, 0.3), 9);
    const degrees = (Math.atan(1 / 5) * 180) / Math.PI;
    expect(metres(`000 100m up ${degrees}`)).toBeCloseTo(metres('000 100m up 1/5'), 9);
  });

  it('a steeper slope never lengthens a leg', () => {
    const slope = fc.double({ min: 0, max: 80, noNaN: true });
    fc.assert(
      fc.property(slope, slope, (a, b) => {
        const [gentle, steep] = [Math.min(a, b), Math.max(a, b)].map((degrees) =>
          metres(`000 100m up ${degrees.toFixed(6)}`),
        );
        expect(steep!).toBeLessThanOrEqual(gentle! + 1e-9);
        expect(gentle!).toBeLessThanOrEqual(100);
      }),
    );
  });

  it.each([
    ['000 65p rouh', 9, /Did you mean 000 65p rough\?/],
    ['000 65p rough snow', 15, /“snow” twice/],
    ['000 65p on', 11, /a ground in one word/],
    ['000 65p on 7', 12, /a ground in one word/],
    ['000 65p up 1/0', 14, /Rise or run is more than 0/],
    ['000 65p up 12 down 1/5', 15, /“down” twice/],
    ['pace rough', 11, /a length of a pace/],
    ['pace 65 per 100 m spread 4', 27, /a spread in per cent/],
    ['pace 65 per 100 m spread 0%', 26, /A spread in per cent is more than 0/],
  ])('%j is refused at column %d', (text, column, expected) => {
    const log = readLog(text.startsWith('pace') ? text : `pace 1 m\n${text}`, 'x', null);
    const fault = log.ok ? null : log.fault[0]!;
    expect(fault?.column).toBe(column);
    expect(fault && wordsOf(fault.fault)).toMatch(expected);
  });
});

describe('what makes the doubt at home', () => {
  it('paces and bearings add up as squares to the figure in the strip, on any page', () => {
    fc.assert(
      fc.property(anyOuting, (outing) => {
        const solution = solved(outing);
        const { togetherMetres } = doubtShares(solution, solution.current, 0);
        const miss = missAtHome(solution, solution.current, 0).semiMajorMetres;
        expect(Math.abs(togetherMetres - miss)).toBeLessThanOrEqual(1e-6 * Math.max(1, miss));
      }),
      { numRuns: 200 },
    );
  });

  it('on a straight line out and home the pace makes the length, the aim the breadth', () => {
    const { solution } = solvedLog('pace 65 per 100 m spread 3%\naim needle\n000 650p');
    const { fromPaceMetres, fromBearingsMetres } = doubtShares(solution, 1, 0);
    const k = Math.sqrt(-2 * Math.log(0.05));
    expect(fromPaceMetres).toBeCloseTo(k * Math.hypot(30, 30), 6);
    const across = (METRES_PER_KILOMETRE * 4 * Math.PI) / 180;
    expect(fromBearingsMetres).toBeCloseTo(k * Math.hypot(across, across), 6);
  });
});
