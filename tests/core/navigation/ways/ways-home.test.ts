import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { totalVariance } from '@/core/errors/covariance';
import { positionError, walkCovariance } from '@/core/navigation/position-error';
import { recommendation } from '@/core/navigation/ways/recommendation';
import { uncertaintyByLeg } from '@/core/navigation/uncertainty-shares';
import {
  aimOffHome,
  azimuthFrom,
  retraceLegs,
  straightHome,
  viaStation,
  type WayHome,
} from '@/core/navigation/ways/ways-home';
import { aimOffWords, chanceWords, recommendationWords } from '@/views/way-home/words';
import { anyOuting, solved, solvedLog } from '../../../support/outings';

const { solution } = solvedLog(
  'pace 65 per 100 m\n000 300m > A\n090 400m > B\nfrom A\n270 10m\nfrom B',
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
  const straight = (within95Metres: number): WayHome => ({
    ...straightHome(solution),
    within95Metres,
  });
  const aimOff = aimed(0, 'right');
  const retrace = retraceLegs(solution);

  it.each([
    ['nothing else', 500, [], { kind: 'straight', why: 'shortest' }],
    ['a sure way', 80, [retrace], { kind: 'straight', why: 'shortest' }],
    ['an unsure way', 80.1, [retrace], { kind: 'straight', why: 'uncertain' }],
    ['a line, but a sure way', 40, [aimOff, retrace], { kind: 'straight', why: 'shortest' }],
    ['a line, and an unsure way', 40.1, [aimOff, retrace], { kind: 'aim-off', why: 'sure-line' }],
  ])('with %s', (_name, within, others, expected) => {
    expect(recommendation(straight(within), others)).toMatchObject(expected);
  });

  it('says what aiming off costs, and that the person decides', () => {
    const found = recommendation(straight(90), [aimOff]);
    const extra = Math.round(aimOff.metres - 500);
    expect(recommendationWords(found)).toMatch(new RegExp(`^Aim off: ${extra} m more.*You decide`));
    expect(recommendationWords(recommendation(straight(20), []))).toMatch(
      /^Straight: the shortest/,
    );
    expect(recommendationWords(recommendation(straight(90), [retrace]))).toMatch(/large uncert/);
  });
});

describe('where the uncertainty comes from', () => {
  it('what the legs and the walk home add is the whole, on any outing', () => {
    fc.assert(
      fc.property(anyOuting, (outing) => {
        const found = solved(outing);
        const shares = uncertaintyByLeg(found);
        const { places, current } = found;
        const walk = totalVariance(walkCovariance(found, places.relative(current, 0)));
        const total = totalVariance(positionError(found, current, 0));
        if (total === 0) return;
        const sum = shares.reduce((whole, { share }) => whole + share, walk / total);
        expect(sum).toBeCloseTo(1, 9);
        expect(shares).toEqual(shares.toSorted((a, b) => b.share - a.share));
      }),
      { numRuns: 200 },
    );
  });

  it('out and home alike: half is from the leg, half from the walk', () => {
    const [share] = uncertaintyByLeg(solvedLog('000 300m').solution);
    expect(share!.share).toBeCloseTo(0.5, 9);
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
