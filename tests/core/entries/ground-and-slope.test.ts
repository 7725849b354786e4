import { USUAL_FIGURES } from '@/core/units/figures';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { warningsOf } from '@/core/checks';
import { faultMessage } from '@/core/faults/messages';
import { positionError } from '@/core/navigation/position-error';
import { refusal, solvedLog } from '../../support/outings';

describe('grounds and slopes in the log', () => {
  const metres = (text: string) => solvedLog(text).solution.walkedMetres;
  const PACES = 'pace 65 per 100 m\npace rough 80 per 100 m spread 8%\npace heather 90 per 100 m\n';

  it('a leg has the pace of its ground, and its spread', () => {
    expect(metres(`${PACES}000 65p`)).toBeCloseTo(100, 9);
    expect(metres(`${PACES}000 80p rough`)).toBeCloseTo(100, 9);
    expect(metres(`${PACES}000 160s rough`)).toBeCloseTo(100, 9);
    expect(metres(`${PACES}000 90p on heather`)).toBeCloseTo(100, 9);
    expect(metres(`${PACES}000 100m rough`)).toBe(100);
    const variance = (text: string) => positionError(solvedLog(text).solution, 1, 0).yy;
    // The length of each pace is wrong by 4 %, out on rough ground and home on the general one.
    expect(variance(`${PACES}000 80p rough`)).toBeCloseTo(8 ** 2 + 5 ** 2 + 2 * 4 ** 2, 6);
    expect(variance(`${PACES}000 80p rough\nhome on rough`)).toBeCloseTo(2 * 8 ** 2, 6);
    expect(variance('pace 65 per 100 m spread 3%\n000 65p')).toBeCloseTo(2 * 3 ** 2, 6);
    // However well the walks agree, 2 % is the least.
    expect(variance('pace 65 per 100 m spread 1%\n000 65p')).toBeCloseTo(2 * 2 ** 2, 6);
  });

  it('a ground without a pace uses the general one, and a warning says so once', () => {
    const { solution } = solvedLog(
      `${PACES}000 65p snow\n090 65p snow\n000 100m night\n000 80p rough`,
    );
    expect(solution.legs.leg(1).metres).toBeCloseTo(100, 9);
    const warnings = warningsOf(solution, USUAL_FIGURES).filter(
      ({ code }) => code !== 'pace-length-odd',
    );
    expect(warnings).toMatchObject([
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
    ['000 65p rouh', 9, /Can’t read “rouh”. Expected a ground/],
    ['000 65p rough snow', 15, /“snow” twice/],
    ['000 65p on', 11, /a ground in one word/],
    ['000 65p on 7', 12, /a ground in one word/],
    ['000 65p up 1/0', 14, /Rise or run must be more than 0/],
    ['000 65p up 12 down 1/5', 15, /“down” twice/],
    ['pace rough', 11, /a length of a pace/],
    ['pace 65 per 100 m spread 4', 27, /a spread in per cent/],
    ['pace 65 per 100 m spread 0%', 26, /A spread in per cent must be more than 0/],
  ])('%j is refused at column %d', (text, column, expected) => {
    const fault = refusal(text.startsWith('pace') ? text : `pace 1 m\n${text}`);
    expect(fault?.column).toBe(column);
    expect(fault && faultMessage(fault.fault)).toMatch(expected);
  });
});
