import { describe, expect, it } from 'vitest';
import { conversionSum } from '@/core/north/conversion-sum';
import type { Norths } from '@/core/north/norths';
import type { North } from '@/core/units/bearing';
import { drawnNorths } from '@/views/declination/drawn-norths';
import { markWords, signReason, sumLines } from '@/views/declination/words';
import { declinationSentence } from '@/views/shared/declination/words';
import { solvedLog } from '../support/outings';

const norths = (declinationEast: number | null, convergenceEast = 0): Norths => ({
  declinationEast,
  convergenceEast,
});

describe('the sum in words', () => {
  it.each([
    [norths(13), 52, 'grid', 'magnetic', '−', /subtract/],
    [norths(13), 210, 'magnetic', 'grid', '+', /larger: add/],
    [norths(-19.1), 350, 'true', 'magnetic', '+', /larger: add/],
    [norths(0), 10, 'true', 'grid', '+', /the same here: nothing to add/],
  ] as const)('%o: %d %s to %s has the sign %s', (known, degrees, from, to, sign, reason) => {
    const sum = conversionSum({ degrees, north: from as North }, to, known)!;
    const lines = sumLines(sum);
    expect(lines[1]!.sign).toBe(sign);
    expect(lines.at(-1)!.sign).toBe('=');
    expect(signReason(sum)).toMatch(reason);
  });

  it('has a line for the full circle where the sum leaves it', () => {
    const sum = conversionSum({ degrees: 350, north: 'true' }, 'magnetic', norths(-19.1))!;
    expect(sumLines(sum).map(({ sign, figure }) => sign + figure)).toEqual([
      '350.0°',
      '+019.1°',
      '−360.0°',
      '=009.1°',
    ]);
  });

  it('names the mark on the scale, left or right of N', () => {
    expect(markWords(340.9, 'true')).toMatch(/to 19\.1° W on the scale, 19\.1° left of N/);
    expect(markWords(12, 'grid')).toMatch(/to 12\.0° E on the scale, 12\.0° right of N.*grid/);
    expect(markWords(0, 'magnetic')).toMatch(/needle to N: the dial then reads magnetic/);
  });
});

describe('the sentence that stays in view', () => {
  const sentence = (text: string) => {
    const { places, end, outing } = solvedLog(text).solution;
    return declinationSentence(places.frame.norths, end.readingNorth, outing.show.north);
  };
  it.each([
    ['', 'Magnetic only, no map. Bearings and way home are magnetic.'],
    [
      'declination 19.1 W\nshow true',
      'Declination 19.1° W. Bearings are magnetic, the way home is true.',
    ],
    [
      'declination 3 E\nconvergence 1.2 W\nread grid\nshow grid',
      'Declination 3.0° E, grid convergence 1.2° W. Bearings and way home are grid.',
    ],
    [
      'declination 19.1 W\ncorrection compass-set\nread true\nshow true',
      'Compass adjusted for 19.1° W. Bearings and way home are true.',
    ],
    [
      'declination 1.2 E\ncorrection left-out',
      'Declination 1.2° E, ignored. Bearings and way home are magnetic.',
    ],
    ['correction magnetic-map', 'Map with magnetic meridians. Bearings and way home are magnetic.'],
    ['correction by-sum', 'Declination not set. Bearings and way home are magnetic.'],
  ])('%j', (text, expected) => expect(sentence(text)).toBe(expected));
});

describe('the drawing of the norths', () => {
  it('is to scale when the angles can be distinguished, else widened, and says by how much', () => {
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
