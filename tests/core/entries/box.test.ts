import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { wayHome } from '@/core/navigation/ways/way';
import { leg, outingOf, refusal, solved, solvedLog } from '../../support/outings';

describe('a boxed obstacle', () => {
  it('adds its along part to the leg, and nothing sideways', () => {
    const boxed = solvedLog(
      'pace 65 per 100 m\n030 65p\n  box right 20p along 40p ; bog\n030 65p',
    ).solution;
    const plain = solvedLog('pace 65 per 100 m\n030 105p\n030 65p').solution;
    expect(boxed.places.at(2).east).toBeCloseTo(plain.places.at(2).east, 9);
    expect(boxed.places.at(2).north).toBeCloseTo(plain.places.at(2).north, 9);
    expect(boxed.walkedMetres).toBeCloseTo(plain.walkedMetres, 9);
  });

  it('has the errors of its three sides, of count and of bearing', () => {
    const { places } = solvedLog('pace 1 m\n000 200p\n  box right 200p along 100p').solution;
    const { xx, yy } = places.relative(0, 1).covariance;
    const [p, fine] = [0.05, (1 / Math.sqrt(12)) * (Math.PI / 180)];
    const turn = (2 * Math.PI) / 180;
    // Each side is off by 5 % of its count and by 2° of its bearing, out and back across the leg.
    expect(yy).toBeCloseTo((p * 200) ** 2 + (p * 100) ** 2 + 2 * (turn * 200) ** 2, 6);
    const across = (turn * 200) ** 2 + (fine * 200) ** 2 + (turn * 100) ** 2 + 2 * (p * 200) ** 2;
    expect(xx).toBeCloseTo(across, 6);
  });

  it('on a slope is levelled like its leg', () => {
    const boxed = solvedLog('000 100m up 60\nbox left 10m along 40m').solution;
    expect(boxed.walkedMetres).toBeCloseTo(70, 9);
  });

  it('changes nothing that follows, to either side, whatever is logged', () => {
    const bearing = fc.integer({ min: 0, max: 359 });
    const metres = fc.double({ min: 1, max: 400, noNaN: true });
    const side = fc.constantFrom('left' as const, 'right' as const);
    const legsOf = fc.array(fc.tuple(bearing, metres), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(legsOf, legsOf, metres, metres, side, (before, after, out, along, to) => {
        const entries = before.map(([b, m]) => leg(b, m));
        const rest = after.map(([b, m]) => leg(b, m));
        const inMetres = (value: number) => ({ unit: 'metres' as const, value });
        const box = { kind: 'box' as const, side: to, out: inMetres(out), along: inMetres(along) };
        const boxed = solved(outingOf([...entries, box, ...rest]));
        const [b, m] = before.at(-1)!;
        const longer = solved(outingOf([...entries.slice(0, -1), leg(b, m + along), ...rest]));
        const [x, y] = [wayHome(boxed), wayHome(longer)];
        expect(Math.abs(x.distanceMetres - y.distanceMetres)).toBeLessThan(1e-6);
        expect(boxed.legs.count).toBe(longer.legs.count);
      }),
    );
  });

  it('needs a leg, a side and both counts', () => {
    const fault = (text: string) => refusal(text)?.fault.code;
    expect(fault('box left 20m along 40m')).toBe('no-leg-yet');
    expect(fault('000 50m\nbox 20m along 40m')).toBe('unexpected');
    expect(fault('000 50m\nbox left 20m')).toBe('unexpected');
    expect(fault('000 50m\nbox left 20p along 40m')).toBe('no-pace');
    expect(fault('000 50m\npassed left ; rocks\nlandmark ; cairn\nout 330\nexpect SW')).toBe(
      undefined,
    );
  });
});
