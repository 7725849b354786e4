import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { groundLayout, layoutScale } from '@/core/ground-layout';
import { missCovariance, way } from '@/core/home';
import { message } from '@/core/message';
import { onTheWay } from '@/core/on-the-way';
import { searchPattern } from '@/core/search-pattern';
import { lightsOut } from '@/core/sun';
import { radians } from '@/core/units';
import { ownSpeed, walkMinutes } from '@/core/walk-time';
import {
  aimedOffHome,
  azimuthOf,
  backOverLegs,
  doubtByLeg,
  homeBy,
  straightHome,
} from '@/core/ways-home';
import { passedWords } from '@/views/walk/words';
import { aimOffWords, chanceWords } from '@/views/way-home/words';
import { anyOuting, solved, solvedLog } from '../support/outings';

describe('the ways home', () => {
  const { solution } = solvedLog(
    'pace 65 per 100 m\n000 300m > A\n090 400m > B\nfrom A\n270 10m\nfrom B',
  );

  it('straight, back over the legs, and by an earlier station', () => {
    const straight = straightHome(solution);
    expect(straight.metres).toBeCloseTo(500, 9);
    expect(straight.miss).toEqual(missCovariance(solution, 2, 0));
    const back = backOverLegs(solution);
    expect(back.stretches.map(({ to }) => to)).toEqual(['A', 'Start']);
    expect(back.stretches.map(({ bearing }) => bearing.magnetic)).toEqual([270, 180]);
    expect(back.metres).toBeCloseTo(700, 9);
    const by = homeBy(solution, 1);
    expect(by.metres).toBeCloseTo(700, 9);
    // 300² + 400² = 500²: the walk's errors add up to the same over a right angle, in another shape.
    expect(by.miss.xx + by.miss.yy).toBeCloseTo(straight.miss.xx + straight.miss.yy, 6);
  });

  it('aimed off: out to the line, then along it, in whole 2 ways', () => {
    const aimed = aimedOffHome(solution, 0, 'right');
    if (!aimed.ok) throw new Error(aimed.fault.code);
    const { stretches, aim, metres } = aimed.value;
    expect(stretches).toHaveLength(2);
    expect(stretches[1]!.to).toBe('Start');
    expect(metres).toBeCloseTo(aim!.distanceMetres + aim!.alongMetres, 6);
    const flat = aimedOffHome(solution, 233, 'left');
    expect(!flat.ok && aimOffWords(flat.fault)).toMatch(/less than 20°/);
  });

  it('a map bearing of a line needs a declination', () => {
    expect(azimuthOf({ degrees: 95, north: 'true' }, solution.end.offset)).toBeNull();
    expect(azimuthOf({ degrees: 95, north: 'magnetic' }, solution.end.offset)).toBe(95);
    const known = solvedLog('declination 19.1 W\n000 10m').solution;
    expect(azimuthOf({ degrees: 95, north: 'magnetic' }, known.end.offset)).toBeCloseTo(75.9, 9);
  });

  it('what each leg and the walk add make up the whole doubt, on any page', () => {
    fc.assert(
      fc.property(anyOuting, (outing) => {
        const found = solved(outing);
        const shares = doubtByLeg(found);
        const sum = shares.reduce((total, { share }) => total + share, 0);
        expect(sum).toBeLessThanOrEqual(1 + 1e-9);
        for (let i = 1; i < shares.length; i++) {
          expect(shares[i]!.share).toBeLessThanOrEqual(shares[i - 1]!.share);
        }
      }),
      { numRuns: 100 },
    );
    // Out 300 m and home 300 m alike: half is the leg's, half the walk's.
    const one = solvedLog('000 300m').solution;
    expect(doubtByLeg(one)[0]!.share).toBeCloseTo(0.5, 9);
  });
});

describe('time and light', () => {
  // W. W. Naismith, 1892, in the metric form of the trade: 5 km/h and an hour for 600 m of climb.
  it('5 km take an hour, 600 m of climb another, and going down takes nothing off', () => {
    expect(walkMinutes(5000, 5)).toBe(60);
    expect(walkMinutes(5000, 5, 600)).toBe(120);
    expect(walkMinutes(5000, 5, -600)).toBe(60);
  });

  it('the outing’s own speed comes from its first and last times, over midnight too', () => {
    expect(
      ownSpeed(solvedLog('date 2026-08-14 09:00\n000 1km @09:15\n090 1km @09:30').solution),
    ).toBeCloseTo(4, 9);
    expect(ownSpeed(solvedLog('000 1km @23:50\n090 1km @00:10').solution)).toBeCloseTo(3, 9);
    expect(ownSpeed(solvedLog('000 1km @09:00').solution)).toBeNull();
    expect(ownSpeed(solvedLog('000 1km\n090 5m').solution)).toBeNull();
  });

  // The Astronomical Almanac's rule-of-thumb values, from memory, good to some minutes: sunset at Greenwich on the equinox of 2025
  // about 18:13 UT, on midsummer's day about 20:21 UT, on midwinter's day about 15:53 UT; civil twilight lasts 33 to 48 minutes there.
  it.each([
    ['2025-03-20', 18 * 60 + 13],
    ['2025-06-21', 20 * 60 + 21],
    ['2025-12-21', 15 * 60 + 53],
  ])('sunset at Greenwich on %s', (day, minutes) => {
    const greenwich = { latitude: 51.4779, longitude: 0 };
    const { sunset, twilightEnds } = lightsOut(greenwich, Date.parse(`${day}T12:00:00Z`));
    const at = (sunset! - Date.parse(`${day}T00:00:00Z`)) / 60_000;
    expect(Math.abs(at - minutes)).toBeLessThan(4);
    const twilight = (twilightEnds! - sunset!) / 60_000;
    expect(twilight).toBeGreaterThan(28);
    expect(twilight).toBeLessThan(52);
  });

  it('a sun that does not set, or does not rise, gives no time', () => {
    const north = { latitude: 78, longitude: 15 };
    expect(lightsOut(north, Date.parse('2026-06-21T12:00:00Z')).sunset).toBeNull();
    expect(lightsOut(north, Date.parse('2026-12-21T12:00:00Z')).sunset).toBeNull();
  });
});

describe('pegs and string', () => {
  const demo = solvedLog('220 100m\n350 200m\n140 50m\n080 200m').solution;

  it('the table adds up to its closing string', () => {
    const { pegs, closing, scale } = groundLayout(demo, layoutScale(demo, 12));
    let [x, y] = [0, 0];
    for (const { bearingDegrees, units } of pegs) {
      x += units * Math.sin(radians(bearingDegrees));
      y += units * Math.cos(radians(bearingDegrees));
      expect((units * 4) % 1).toBe(0);
    }
    expect(closing.units).toBeCloseTo(Math.hypot(x, y), 9);
    expect(closing.metres).toBeCloseTo(closing.units * scale, 9);
    const home = way(demo, demo.current, 0);
    expect(Math.abs(closing.bearingDegrees - home.bearing.magnetic!)).toBeLessThan(3);
    expect(Math.abs(closing.metres - home.distanceMetres)).toBeLessThan(scale / 2);
  });

  it('the scale is the largest round one whose layout fits the room', () => {
    expect(layoutScale(demo, 12)).toBe(20);
    expect(layoutScale(demo, 12.2)).toBe(20);
    expect(layoutScale(demo, 24)).toBe(10);
    expect(layoutScale(demo, 2)).toBe(200);
    expect(layoutScale(demo, 1e-9)).toBe(10_000);
  });

  it('leaves side trips out, and sets bearings by the needle', () => {
    const { solution } = solvedLog('declination 10 E\n010T 100m > A\n090T 50m\nfrom A\n100T 100m');
    const { pegs } = groundLayout(solution, 10);
    expect(pegs.map(({ bearingDegrees }) => bearingDegrees)).toEqual([0, 90]);
  });
});

describe('looking for home', () => {
  const round = { xx: 400, xy: 0, yy: 400 };

  it('the growing square turns a quarter to the right, grows every second leg, and covers more with each', () => {
    const legs = searchPattern('square', round, 25, 350);
    expect(legs.slice(0, 5).map(({ bearingDegrees }) => bearingDegrees)).toEqual([
      350, 80, 170, 260, 350,
    ]);
    expect(legs.slice(0, 5).map(({ metres }) => metres)).toEqual([40, 40, 80, 80, 120]);
    for (let i = 1; i < legs.length; i++) {
      expect(legs[i]!.covered).toBeGreaterThanOrEqual(legs[i - 1]!.covered);
    }
    expect(legs.at(-1)!.covered).toBeGreaterThanOrEqual(0.95);
  });

  it('what is seen before the first leg is the chance of sight in closed form', () => {
    const [first] = searchPattern('sector', { xx: 1e-9, xy: 0, yy: 1e-9 }, 10, 0);
    expect(first!.covered).toBeCloseTo(1, 6);
    // A leg of no length sees a circle: 1 - exp(-r²/2σ²). A short sight range against a wide doubt comes near to it.
    const wide = searchPattern('square', { xx: 1e6, xy: 0, yy: 1e6 }, 25, 0)[0]!.covered;
    const circle = 1 - Math.exp(-(25 ** 2) / 2 / 1e6);
    expect(wide).toBeGreaterThan(circle);
    expect(wide).toBeLessThan(circle * 6);
  });

  it('three sectors end where they began', () => {
    const legs = searchPattern('sector', round, 25, 35);
    expect(legs).toHaveLength(9);
    expect(Math.hypot(legs.at(-1)!.east, legs.at(-1)!.north)).toBeLessThan(1e-9);
    expect(new Set(legs.map(({ metres }) => metres)).size).toBe(1);
  });
});

describe('what is passed on the way home', () => {
  it('is what was logged near the line, left and right as it is met', () => {
    const { solution } = solvedLog(
      '000 200m\n  at 50 left 10 ; spring\n  at 150 right 80 ; far rock\n  at 120 right 5 ; birch',
    );
    const passed = onTheWay(solution, 1, 0);
    expect(passed.map(({ what }) => what)).toEqual(['birch', 'spring']);
    expect(passed[0]!.alongMetres).toBeCloseTo(80, 9);
    // On the way out it stood to the right: on the way back it stands to the left.
    expect(passed[0]!.rightMetres).toBeCloseTo(-5, 9);
    expect(passedWords(passed[1]!, 1.5)).toBe('spring, 10 m to your right, in about 100 paces');
    expect(passedWords({ what: 'x', alongMetres: 9.6, rightMetres: 1 }, NaN)).toBe(
      'x, on your line, in 10 m',
    );
    expect(onTheWay(solution, 0, 0)).toEqual([]);
  });
});

describe('the message', () => {
  it('says where, which way, how far, how sure and when, in under 300 characters, on any page', () => {
    const { solution } = solvedLog(
      'declination 19.1 W\nstart Dock at 54.2 -63.5\n112 200m\n061 246m > Gauge 2',
    );
    // By hand: 364.0 m east and 173.0 m north of the dock, 244.6° and 403.0 m back to it.
    expect(message(solution, '14:05')).toBe(
      '14:05 At Gauge 2 (54.2016 -63.4944). Going to Dock: 264 magnetic / 245 true, 403 m. 95% within 65 m. Walked 446 m in 2 legs.',
    );
    expect(message(solvedLog('start Dock').solution, '14:05')).toBe('14:05 At Dock.');
    fc.assert(
      fc.property(anyOuting, (outing) => {
        expect(message(solved(outing), '23:59').length).toBeLessThan(300);
      }),
      { numRuns: 200 },
    );
  });
});

describe('a chance in words', () => {
  it.each([
    [1, 'almost certainly'],
    [0.8, 'four chances in five'],
    [0.5, 'one chance in two'],
    [0.26, 'one chance in four'],
    [0.01, 'hardly a chance'],
  ])('%d: %s', (chance, words) => expect(chanceWords(chance)).toBe(words));
});
