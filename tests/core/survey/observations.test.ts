import { describe, expect, it } from 'vitest';
import { inForceAt } from '@/core/survey/in-force';
import { NO_STATIONS } from '@/core/survey/fix/sights';
import {
  equationCount,
  equationsOf,
  locusOf,
  OBSERVATIONS,
  type Observation,
} from '@/core/survey/observations';
import { pointFix } from '@/core/survey/observations/point-fix';
import { landmarkPlaces } from '@/core/survey/landmarks';
import { radians } from '@/core/units/units';
import { solvedLog } from '../../support/outings';

const mark = { name: 'Gauge 1', sigmaMetres: 5, east: 400, north: 700 };
const from = { key: 3, effects: [], east: -30, north: 20 };
/** Ground that rises 0.2 m a metre to the east and falls 0.1 m a metre to the north. */
const inclined = ({ east, north }: { east: number; north: number }) => ({
  metres: 100 + 0.2 * east - 0.1 * north,
  gradient: { east: 0.2, north: -0.1 },
});

const EACH: { [Kind in keyof typeof OBSERVATIONS]: Observation & { kind: Kind } } = {
  bearing: {
    kind: 'bearing',
    mark,
    from,
    bearing: radians(30),
    back: false,
    variance: 1e-3,
    shared: [],
  },
  length: { kind: 'length', mark, from, metres: 600, variance: 1e-3, shared: [] },
  at: { kind: 'at', mark, from },
  'on-line': {
    kind: 'on-line',
    from: { east: 0, north: -50 },
    to: { east: 300, north: 90 },
    sigmaMetres: 4,
  },
  height: { kind: 'height', metres: 120, sigmaMetres: 5, ground: inclined },
};

describe('every kind of observation', () => {
  it.each(Object.values(EACH))('$kind: `g` is how its prediction changes', (each) => {
    const place = { east: 12, north: 34 };
    const before = equationsOf(each, place);
    expect(before).toHaveLength(equationCount(each));
    const step = 1e-4;
    for (const axis of ['east', 'north'] as const) {
      const after = equationsOf(each, { ...place, [axis]: place[axis] + step });
      for (const [i, { w, g }] of before.entries()) {
        // What was read stays, so that what it misses by falls as the prediction grows.
        expect((w - after[i]!.w) / step).toBeCloseTo(g[axis], 4);
      }
    }
  });

  it.each(Object.values(EACH))('$kind: a place of its locus misses by nothing', (each) => {
    const locus = locusOf(each);
    if (!locus) return expect(each.kind).toBe('height');
    const along = { line: 70, circle: 600, point: 0 }[locus.is];
    const sign = each.kind === 'on-line' ? 1 : -1;
    const toward = locus.is === 'line' ? locus.toward : { east: 0.6, north: 0.8 };
    const place = {
      east: locus.at.east + sign * along * toward.east,
      north: locus.at.north + sign * along * toward.north,
    };
    for (const { w } of equationsOf(each, place)) expect(w).toBeCloseTo(0, 9);
  });
});

describe('a height', () => {
  const options = { stations: NO_STATIONS, compassHere: 0 };

  it('with a bearing gives the place where the line of sight has that height', () => {
    // Sighted due north at a mark: somewhere on east = 400, where 120 = 180 - 0.1·north.
    const sight: Observation = { ...EACH.bearing, from: null, bearing: 0, variance: 1e-6 };
    const found = pointFix([sight, EACH.height], { east: 380, north: 100 }, options)!;
    expect(found.place.east).toBeCloseTo(400, 6);
    expect(found.place.north).toBeCloseTo(600, 3);
    // Five metres of height are fifty along a slope of one in ten, and five of the mark to the
    // east are a metre of height, or ten more.
    expect(Math.sqrt(found.covariance.yy)).toBeCloseTo(Math.hypot(50, 10), 1);
  });

  it('tells nothing off the heights that are known', () => {
    const off: Observation = { ...EACH.height, ground: () => null };
    expect(equationsOf(off, mark)).toEqual([]);
  });
});

describe('a landmark and a fix', () => {
  it('are one estimation: either end of the same lines has the same ellipse', () => {
    const log = solvedLog('see 040 ; spire\n090 500m\nsee 320 ; spire').solution;
    const { place } = landmarkPlaces(log)[0]!;
    const [a, b] = [radians(40), radians(320)];
    // By hand: 0 + t·(sin a, cos a) = (500, 0) + u·(sin b, cos b).
    const t = (500 * Math.cos(b)) / Math.sin(a - b);
    expect(place!.east).toBeCloseTo(t * Math.sin(a), 6);
    expect(place!.north).toBeCloseTo(t * Math.cos(a), 6);
  });
});

describe('what holds for a line', () => {
  const LOG = 'aim needle\ncompass mirror\n220 65p\nread true\nsee 40 ; spire\naim sighted\n220 9p';

  it('is what the lines before it set, from one replay for reading, writing and sights', () => {
    const { outing, solution } = solvedLog(`declination 19 W\npace 1 m\n${LOG}`);
    const index = outing.entries.findIndex(({ kind }) => kind === 'see');
    const held = { readingNorth: 'true', aim: 'needle', compass: 'mirror' };
    expect(inForceAt(outing, index)).toEqual(held);
    expect(inForceAt(outing)).toEqual({ ...held, aim: 'sighted' });
    expect(inForceAt(outing, 1)).toEqual({
      readingNorth: 'magnetic',
      aim: 'landmark',
      compass: '',
    });
    const { end } = solution;
    expect(end).toMatchObject(inForceAt(outing));
  });

  it('begins with the north of a compass that is set for the declination', () => {
    const { outing } = solvedLog('declination 19 W\ncorrection compass-set\n220 65m');
    expect(inForceAt(outing).readingNorth).toBe('true');
  });
});
