import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ERRORS, SIGMA_IDS, type ErrorSettings } from '@/core/model/error-settings';
import { positionError } from '@/core/navigation/position-error';
import { apply } from '@/core/edit/operations';
import { backHere, beThere } from '@/core/edit/back-here';
import { writeLog } from '@/core/log-text/write-log';
import { wayHome } from '@/core/navigation/ways/way';
import { walkLog } from '@/core/survey/log-walk';
import { solve } from '@/core/survey/solve';
import {
  anyOuting,
  deepFreeze,
  leg,
  outingOf,
  solved,
  solvedLog,
  someLegs,
  refusal,
} from '../../support/outings';

describe('solving an outing', () => {
  it('a leg split in two ends in the same place', () => {
    fc.assert(
      fc.property(
        someLegs,
        fc.nat(),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        (legs, at, share) => {
          const whole = legs.map(([b, d]) => leg(b, d));
          const index = at % legs.length;
          const [b, d] = legs[index]!;
          const split = whole.toSpliced(index, 1, leg(b, d * share), leg(b, d * (1 - share)));
          const [one, two] = [solved(outingOf(whole)), solved(outingOf(split))];
          const [before, after] = [one.places.at(one.current), two.places.at(two.current)];
          expect(after.east).toBeCloseTo(before.east, 8);
          expect(after.north).toBeCloseTo(before.north, 8);
          expect(two.walkedMetres).toBeCloseTo(one.walkedMetres, 8);
        },
      ),
    );
  });

  it('changes nothing that it is given, and gives the same again, also in between', () => {
    fc.assert(
      fc.property(anyOuting, (outing) => {
        deepFreeze(outing);
        const errors = deepFreeze({ ...DEFAULT_ERRORS });
        const first = solve(outing, null, { errors });
        // Another solution in between leaves no trace in a module.
        solve(outingOf([leg(1, 2), leg(3, 4)]));
        const second = solve(outing, null, { errors });
        if (!first.ok || !second.ok) throw new Error('this outing can be solved');
        const facts = ({ legs, places, current, closures }: typeof first.value) => ({
          current,
          closures,
          legs: Array.from(legs),
          places: places.stations().map((station) => places.at(station)),
        });
        expect(facts(second.value)).toEqual(facts(first.value));
      }),
      { numRuns: 100 },
    );
  });

  it('takes the errors that it is given: twice the sigma, twice the uncertainty', () => {
    const outing = outingOf([leg(0, 100), leg(90, 200)]);
    const none = Object.fromEntries(SIGMA_IDS.map((id) => [id, 0])) as unknown as ErrorSettings;
    const usualErrors = { ...none, landmark: 2, measured: 0.05 };
    const doubled = { ...none, landmark: 4, measured: 0.1 };
    // What a bearing was read to has no setting: what it adds is taken off.
    const read = solve(outing, null, { errors: none });
    const usual = solve(outing, null, { errors: usualErrors });
    const wide = solve(outing, null, { errors: doubled });
    if (!usual.ok || !wide.ok || !read.ok) throw new Error('this outing can be solved');
    const [a, b, c] = [usual, wide, read].map(({ value }) => positionError(value, 2, 0));
    for (const key of ['xx', 'xy', 'yy'] as const) {
      expect(b![key] - c![key]).toBeCloseTo(4 * (a![key] - c![key]), 9);
    }
  });

  it('takes what the outing says of an error before what the person’s settings say', () => {
    const { solution } = solvedLog('errors measured 1%, landmark 3°\n000 100m');
    expect(solution.errors).toMatchObject({ measured: 0.01, landmark: 3, needle: 4 });
  });
});

describe('places', () => {
  const { solution } = solvedLog('000 100m > A\n090 100m > B\nfrom A\n270 50m > C');
  const { places } = solution;

  it('give the vector between any two stations, and its covariance by the path', () => {
    const across = places.relative(2, 3);
    expect([across.east, across.north]).toEqual([-150, expect.closeTo(0, 9)]);
    const [toB, toC] = [places.relative(1, 2).covariance, places.relative(1, 3).covariance];
    expect(across.covariance.xx).toBeCloseTo(toB.xx + toC.xx, 9);
    expect(across.covariance.yy).toBeCloseTo(toB.yy + toC.yy, 9);
    expect(places.relative(1, 1)).toEqual({
      east: 0,
      north: 0,
      covariance: { xx: 0, xy: 0, yy: 0 },
      shared: [],
    });
  });

  it('are asked by number, and refuse one that is no station', () => {
    expect(places.stations()).toEqual([0, 1, 2, 3]);
    expect(() => places.at(4)).toThrow(RangeError);
    expect(() => places.relative(0, -1)).toThrow(RangeError);
  });

  it('the path to a station is in the order in which it was walked', () => {
    const numbers = (station: number) => solution.legs.pathTo(station).map(({ number }) => number);
    expect([numbers(0), numbers(2), numbers(3)]).toEqual([[], [1, 2], [1, 3]]);
  });
});

describe('closures', () => {
  it('say where the leg ended less the station, and adjust nothing', () => {
    const { solution } = solvedLog('000 100m > A\n090 100m\n190 90m > Start\n045 10m');
    const [closure] = solution.closures;
    expect(closure).toMatchObject({ entry: 2, leg: 3, station: 'Start' });
    const dx = 100 + 90 * Math.sin((190 * Math.PI) / 180);
    expect(closure!.misclosure.east).toBeCloseTo(dx, 9);
    expect(closure!.ofWalked).toBeCloseTo(closure!.metres / 290, 12);
    // The next leg leaves from the station, not from where leg 3 ended.
    expect(solution.legs.leg(3).end.east).toBeCloseTo(dx, 9);
    expect(solution.places.at(4)).toEqual({
      east: expect.closeTo(10 * Math.SQRT1_2, 9),
      north: expect.closeTo(10 * Math.SQRT1_2, 9),
    });
  });
});

describe('from and here', () => {
  const at = (text: string) => {
    const { current, leaving, legs, places } = solvedLog(text).solution;
    const last = legs.leg(legs.count);
    return { current, leaving, from: last.from, end: places.at(current) };
  };
  const LOG = '000 100m > Hut\n090 100m > Spring\n';

  it('a station that the next leg leaves from is not where one is, before it is walked', () => {
    expect(at(`${LOG}from Hut`)).toMatchObject({ current: 2, leaving: 1, end: { north: 100 } });
    expect(at(`${LOG}from Hut\nsee 305 ; summit`).current).toBe(2);
    expect(at(`${LOG}from Hut\n180 50m`)).toMatchObject({ current: 3, leaving: 3, from: 1 });
    const way = wayHome(solvedLog(`${LOG}from Hut`).solution);
    expect(way.distanceMetres).toBeCloseTo(Math.hypot(100, 100), 9);
  });

  it('what says where one is moves both; a station that is not there is refused', () => {
    expect(at(`${LOG}here Hut`)).toMatchObject({ current: 1, leaving: 1 });
    expect(at(`${LOG}here Hut\n180 50m`)).toMatchObject({ current: 3, from: 1 });
    expect(refusal(`${LOG}here Barn`)?.fault.code).toBe(refusal(`${LOG}from Barn`)?.fault.code);
  });

  it('a sighting is of the station that was named last, as ever', () => {
    const read = (text: string) => [...walkLog(solvedLog(text).solution)].at(-1)!.readAt;
    expect(read(`${LOG}from Hut\nsee 305 ; summit`)).toBe(1);
    expect(read(`${LOG}see 305 from Hut ; summit`)).toBe(1);
    expect(read(`${LOG}here Start\nsee 305 ; summit`)).toBe(0);
  });

  it('a leg walked from where one is says so, and an answer makes the one line the other', () => {
    const { solution, outing } = solvedLog(`${LOG}from Hut`);
    expect(backHere(solution)).toEqual([{ kind: 'from', station: 'Spring' }]);
    expect(backHere(solvedLog(LOG).solution)).toEqual([]);
    const answered = beThere(outing, null);
    const after = answered.ok ? apply(outing, answered.value) : answered;
    expect(after.ok && writeLog(after.value)).toMatch(/\nhere Hut\n$/);
    // Where a leg has left from there already, nothing is to be said.
    expect(beThere(solvedLog(`${LOG}from Hut\n180 50m`).outing, null)).toEqual({
      ok: true,
      value: [],
    });
  });
});
