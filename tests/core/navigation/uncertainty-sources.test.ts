import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { improvements } from '@/core/navigation/improvements';
import { positionError, positionErrorEllipse } from '@/core/navigation/position-error';
import { contributions, sharesOf, splitOf } from '@/core/navigation/uncertainty-sources';
import { anyOuting, solved, solvedLog } from '../../support/outings';

const K = Math.sqrt(-2 * Math.log(0.05));
const DEGREE = Math.PI / 180;

describe('where the uncertainty comes from', () => {
  it('the sources are together the position error, on any outing', () => {
    fc.assert(
      fc.property(anyOuting, (outing) => {
        const solution = solved(outing);
        const found = contributions(solution, solution.current, 0);
        const whole = positionError(solution, solution.current, 0);
        const size = Math.max(1, whole.xx + whole.yy);
        for (const key of ['xx', 'xy', 'yy'] as const) {
          const sum = found.reduce((total, { covariance }) => total + covariance[key], 0);
          expect(Math.abs(sum - whole[key])).toBeLessThanOrEqual(1e-6 * size);
        }
        const shares = sharesOf(found);
        const all = shares.reduce((total, { share }) => total + share, 0);
        if (shares.length > 0) expect(all).toBeCloseTo(1, 9);
        expect(shares).toEqual(shares.toSorted((a, b) => b.share - a.share));
      }),
      { numRuns: 200 },
    );
  });

  it('also between two stations on different branches', () => {
    const { solution } = solvedLog(
      'pace 1 m\n000 100p > A\n090 100p > B\nfrom A\n270 50m up 20 > C\nbox left 20p along 10p',
    );
    const found = contributions(solution, 3, 2);
    const whole = positionError(solution, 3, 2);
    const sum = found.reduce((total, { covariance }) => total + covariance.xx, 0);
    expect(sum).toBeCloseTo(whole.xx, 6);
  });

  it('straight out and home the pace is the error along, the bearing the error across', () => {
    const { solution } = solvedLog('pace 65 per 100 m spread 3%\naim needle\n000 650p');
    const { fromPaceMetres, fromBearingsMetres, togetherMetres } = splitOf(
      contributions(solution, 1, 0),
    );
    expect(fromPaceMetres).toBeCloseTo(K * Math.hypot(30, 30), 6);
    const across = 1000 * Math.hypot(4, 1 / Math.sqrt(12)) * DEGREE;
    expect(fromBearingsMetres).toBeCloseTo(K * Math.hypot(across, across), 6);
    expect(togetherMetres).toBeCloseTo(positionErrorEllipse(solution, 1, 0).semiMajorMetres, 6);
  });

  it('names what is shared and does not cancel, with the aim and the ground it is about', () => {
    const { solution } = solvedLog('pace 1 m\naim sighted\n000 500p rough\nhome needle');
    const found = contributions(solution, 1, 0);
    const shared = found.filter((each) => each.shared);
    expect(shared.map(({ source, about }) => [source, about])).toEqual(
      expect.arrayContaining([
        ['compass', 'needle'],
        ['compass', 'sighted'],
        ['pace-length', ''],
        ['pace-length', 'rough'],
      ]),
    );
    const across = 500 * 1.5 * DEGREE;
    expect(shared.find(({ about }) => about === 'sighted')!.covariance.xx).toBeCloseTo(
      across ** 2,
      6,
    );
  });
});

describe('what would help most', () => {
  const best = (text: string) => {
    const { solution } = solvedLog(text);
    return improvements(solution, solution.current, 0);
  };

  it('is walking from mark to mark where the needle is followed', () => {
    const [first] = best('pace 1 m spread 3% of 5 walks\naim needle\n000 500p\n090 500p');
    expect(first).toMatchObject({ kind: 'aim' });
  });

  it('is a calibration where none is known, and comes down to what that would state', () => {
    const uncalibrated = 'aim sighted\npace heather 1 m\n000 500p on heather\nhome on heather';
    const found = best(uncalibrated).find(({ kind }) => kind === 'calibrate')!;
    expect(found).toMatchObject({ ground: 'heather' });
    const n = 10;
    const spread = 3;
    const { solution } = solvedLog(
      uncalibrated.replace('1 m', `1 m spread ${spread}% of ${n} walks`),
    );
    expect(found.within95Metres).toBeCloseTo(
      positionErrorEllipse(solution, 1, 0).semiMajorMetres,
      6,
    );
  });

  it('is counting paces where the clock is used, and the ground that was walked out', () => {
    expect(best('pace 1 m\n000 900p\nhome timed 4 kmh')[0]).toMatchObject({ kind: 'count-paces' });
    const text =
      'aim sighted\npace 1 m spread 3% of 9 walks\npace rough 1 m spread 3% of 9 walks\n';
    expect(best(`${text}000 900p rough`)[0]).toMatchObject({
      kind: 'same-ground',
      ground: 'rough',
    });
  });

  it('is nothing where nothing would gain a tenth', () => {
    const text = 'aim sighted\npace 1 m spread 2.2% of 9 walks\n000 900p back 180\nhome sighted';
    expect(best(text)).toEqual([]);
  });
});
