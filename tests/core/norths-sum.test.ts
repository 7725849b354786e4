import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { normalised, signedDifference } from '@/core/angle';
import { chordMetres } from '@/core/leaving-out';
import { NORTHS, northEastOf, type North, type Norths } from '@/core/north';
import { needleMark, northSum } from '@/core/norths-sum';
import { drawnNorths } from '@/views/norths/drawn-norths';
import { signReason, sumLines } from '@/views/norths/words';

const norths = (declinationEast: number | null, convergenceEast = 0): Norths => ({
  declinationEast,
  convergenceEast,
});
const sumOf = (degrees: number, from: North, to: North, known: Norths) =>
  northSum({ degrees, north: from }, to, known)!;

describe('the sum as done by hand', () => {
  // Common practice, no source: sums that people get wrong by hand, with the sign that each takes.
  it.each([
    [norths(13), 52, 'grid', 39, 'magnetic', '−'],
    [norths(13), 210, 'magnetic', 223, 'grid', '+'],
    [norths(13), 280, 'magnetic', 293, 'grid', '+'],
    [norths(13), 336, 'magnetic', 349, 'grid', '+'],
    [norths(13), 315, 'magnetic', 328, 'grid', '+'],
    [norths(20), 180, 'true', 160, 'magnetic', '−'],
    [norths(20), 150, 'magnetic', 170, 'true', '+'],
    [norths(-3), 82, 'magnetic', 79, 'grid', '−'],
    [norths(-2), 132, 'grid', 134, 'magnetic', '+'],
    [norths(-19.1), 350, 'true', 9.1, 'magnetic', '+'],
  ] as const)('%o: %d %s is %d %s, by %s', (known, from, north, expected, to, sign) => {
    const sum = sumOf(from, north, to, known);
    expect(sum.end.degrees).toBeCloseTo(expected, 9);
    const lines = sumLines(sum);
    expect(lines[1]!.sign).toBe(sign);
    expect(lines.at(-1)!.sign).toBe('=');
    expect(signReason(sum)).toMatch(sign === '−' ? /take the angle off/ : /add the angle/);
  });

  it('every line adds up to the last one, whatever the angles', () => {
    const north = fc.constantFrom(...NORTHS);
    const angle = fc.double({ min: -180, max: 180, noNaN: true });
    const bearing = fc.double({ min: 0, max: 360, maxExcluded: true, noNaN: true });
    fc.assert(
      fc.property(bearing, north, north, angle, angle, (degrees, from, to, d, c) => {
        const known = norths(d, c);
        const { end, rawDegrees, wrapDegrees, eastDegrees } = sumOf(degrees, from, to, known);
        expect(Math.abs(signedDifference(end.degrees, rawDegrees + wrapDegrees))).toBeLessThan(
          1e-9,
        );
        expect(eastDegrees).toBe(northEastOf(from, to, known));
        expect(rawDegrees).toBe(normalised(degrees) - eastDegrees);
      }),
    );
  });

  it('there is none without a declination, and none is needed within one north', () => {
    expect(northSum({ degrees: 5, north: 'true' }, 'magnetic', norths(null))).toBeNull();
    expect(sumOf(5, 'magnetic', 'magnetic', norths(null)).end.degrees).toBe(5);
  });
});

describe('the mark that the needle goes to', () => {
  it('lies where the needle points when the housing’s N points to the wanted north', () => {
    expect(needleMark('true', norths(-19.1))).toBeCloseTo(340.9, 9);
    expect(needleMark('true', norths(12, 2))).toBeCloseTo(12, 9);
    expect(needleMark('grid', norths(12, 2))).toBeCloseTo(10, 9);
    expect(needleMark('magnetic', norths(12, 2))).toBe(0);
    expect(needleMark('true', norths(null))).toBeNull();
  });

  it('gives the same dial reading as the sum does', () => {
    // With the needle on the mark, the housing's N points true: a needle bearing b reads b + D on the dial.
    for (const d of [-25, -3, 0, 8, 40]) {
      const mark = needleMark('true', norths(d))!;
      const sum = sumOf(100, 'magnetic', 'true', norths(d));
      expect(normalised(100 + mark)).toBeCloseTo(sum.end.degrees, 9);
    }
  });
});

describe('what leaving it out costs', () => {
  it('is the chord: 19° put a third of the way off, 60° the whole of it', () => {
    expect(chordMetres(-19.1, 1000)).toBeCloseTo(331.8, 1);
    expect(chordMetres(60, 500)).toBeCloseTo(500, 9);
    expect(chordMetres(0, 500)).toBe(0);
    // One degree in a kilometre is 17 m: common practice, no source.
    expect(chordMetres(1, 1000)).toBeCloseTo(17.45, 2);
  });
});

describe('the drawing of the norths', () => {
  it('is to scale when the angles can be told apart, else widened, and says by how much', () => {
    expect(drawnNorths(norths(-19.1, 0)).times).toBe(1);
    expect(drawnNorths(norths(-19.1, 0)).arrows.map(({ names }) => names)).toEqual([
      ['magnetic'],
      ['true', 'grid'],
    ]);
    const small = drawnNorths(norths(1.5, -0.8));
    expect(small.times).toBe(10);
    expect(small.arrows.map(({ north }) => north)).toEqual(['grid', 'true', 'magnetic']);
    expect(small.arrows[2]!.turn).toBeCloseTo(15, 9);
    expect(drawnNorths(norths(null)).arrows).toHaveLength(1);
    // So far apart that widening would leave the sheet: to scale, however near the other two are.
    expect(drawnNorths(norths(40, 0.5)).times).toBe(1);
  });
});
