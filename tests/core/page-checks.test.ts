import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { warningsOf } from '@/core/checks';
import { way } from '@/core/home';
import { landmarks } from '@/core/landmarks';
import { disturbances, undisturbed } from '@/core/local-attraction';
import { correctEntry, strikeEntry } from '@/core/edit/ink';
import { faultOf } from '@/core/edit/command';
import { applied, inverse } from '@/core/edit/operations';
import { readLog } from '@/core/log-text/read-log';
import { writeLog } from '@/core/log-text/write-log';
import { radians } from '@/core/units';
import { leafRows, rowsWith } from '@/views/spread/leaf-rows';
import { legsPaths, raysPath } from '@/formats/sketch/geometry';
import { anyOuting, leg, outingOf, solved, solvedLog } from '../support/outings';

const warnings = (text: string) => warningsOf(solvedLog(text).solution);
const codes = (text: string) => warnings(text).map(({ code }) => code);

describe('the checks of the page, on both sides of their limits', () => {
  it.each([
    // Back bearings.
    ['000 100m back 185', []],
    ['000 100m back 186', ['back-bearing-off']],
    ['000 100m back 174', ['back-bearing-off']],
    ['350 100m back 175', []],
    // Expected direction.
    ['expect N\n090 100m', []],
    ['expect N\n091 100m', ['expected-other-way']],
    ['expect N\n269 100m', ['expected-other-way']],
    ['expect NE\n000 50m\n225 100m', []],
    ['000 50m\nexpect NE\n226 100m', ['expected-other-way']],
    // Short legs.
    ['000 15m', []],
    ['000 14.9m', ['leg-short']],
    // Speed by the times noted: a time is good to a minute.
    ['000 100m @10:00\n090 700m @10:05', []],
    ['000 100m @10:00\n090 701m @10:05', ['pace-implausible']],
    ['000 100m @10:00\n090 45m @10:10', []],
    ['000 100m @10:00\n090 44m @10:10', ['pace-implausible']],
    ['000 100m @10:00\n090 60m\n180 70m @10:02', []],
    ['000 100m @10:05\n090 100m @10:01', ['pace-implausible']],
    ['000 100m @23:58\n090 100m @00:01', []],
    ['date 2026-08-14 09:00\n000 1km @09:02', ['pace-implausible']],
    // The same leg twice.
    ['000 100m\n000 100m', ['same-leg-twice']],
    ['000 100m\n000 101m', []],
    ['000 100m > A\nfrom Start\n000 100m', []],
    // Walked back.
    ['000 100m\n185 105m', ['walked-back']],
    ['000 100m\n186 100m', []],
    ['000 100m\n180 106m', []],
    ['000 100m\n180 100m > Start', []],
  ])('%j: %j', (text, expected) => expect(codes(text)).toEqual(expected));

  it('each says what it saw and what to do', () => {
    for (const text of [
      '000 100m back 200',
      'expect N\n180 100m',
      '000 5m',
      '000 100m @10:00\n090 2km @10:05',
      '000 50m\n000 50m',
      '000 50m\n180 50m',
    ]) {
      const [warning] = warnings(text);
      expect(warning!.message).toMatch(/\d/);
      expect(warning!.message.split(/[.?:] /).length).toBeGreaterThan(1);
    }
  });

  it('half a circle off is told as such, and a third is not', () => {
    expect(warnings('expect N\n180 100m')[0]!.message).toMatch(/half a circle: map upside down/);
    expect(warnings('expect N\n110 100m')[0]!.message).not.toMatch(/half a circle/);
  });

  it('what was said to be right is not said again, for that line and code alone', () => {
    expect(codes('000 5m\n  right leg-short\n090 5m')).toEqual(['leg-short']);
    expect(codes('000 5m back 100\n  right leg-short')).toEqual(['back-bearing-off']);
    expect(codes('000 5m\n  at 2 ; pool\n  right leg-short')).toEqual(['leg-short']);
  });
});

describe('iron at a station', () => {
  // B. C. Punmia, Surveying, volume 1, chapter on the compass: the five lines of a worked traverse (memory). DE agrees,
  // so D and E are free; C reads 35' too much, B 25' too much, and A is free.
  const minutes = (degrees: number, rest: number) => degrees + rest / 60;
  const [A, B, C, D, E] = [0, 1, 2, 3, 4];
  const lines = [
    { from: A, to: B, forward: minutes(45, 45), back: minutes(226, 10) },
    { from: B, to: C, forward: minutes(96, 55), back: minutes(277, 5) },
    { from: C, to: D, forward: minutes(29, 45), back: minutes(209, 10) },
    { from: D, to: E, forward: minutes(324, 48), back: minutes(144, 48) },
  ];

  it('is found by the chain of lines that agree, as in the handbook', () => {
    const found = disturbances(lines, 0.01);
    expect(found.get(D)).toBe(0);
    expect(found.get(E)).toBe(0);
    expect(found.get(C)! * 60).toBeCloseTo(35, 6);
    expect(found.get(B)! * 60).toBeCloseTo(25, 6);
    expect(found.get(A)! * 60).toBeCloseTo(0, 6);
    expect(undisturbed(lines[1]!.forward, found.get(B)!)).toBeCloseTo(96.5, 6);
    expect(undisturbed(lines[2]!.forward, found.get(C)!)).toBeCloseTo(minutes(29, 10), 6);
  });

  it('is left alone where no line agrees', () => {
    expect(disturbances(lines.slice(0, 3), 0.01).size).toBe(0);
  });

  it('is named on the page, and the bearing without it is offered, never taken', () => {
    const text =
      '045 100m back 225 > A\n090 100m back 282 > B\n042 80m back 210 > C\n330 90m back 150\n';
    const found = warnings(text);
    expect(found.map(({ code }) => code)).toEqual(['back-bearing-off', 'back-bearing-off']);
    expect(found[0]!.message).toMatch(
      /12° too much at B: iron there\? This leg’s own bearing stands/,
    );
    expect(found[0]!.mend).toBeUndefined();
    expect(found[1]!.message).toMatch(/12° too much at B: iron there\? This leg was taken there/);
    expect(found[1]!.mend).toMatchObject({ bearing: { value: 30 }, to: 'C' });
    const { solution } = solvedLog(text);
    expect(solution.traverse.bearingDegrees[3]).toBe(42);
  });
});

describe('an obstacle', () => {
  it('boxed adds its along part to the leg, and nothing sideways', () => {
    const boxed = solvedLog(
      'pace 65 per 100 m\n030 65p\n  box right 20p along 40p ; bog\n030 65p',
    ).solution;
    const plain = solvedLog('pace 65 per 100 m\n030 105p\n030 65p').solution;
    expect(boxed.traverse.east[2]).toBeCloseTo(plain.traverse.east[2]!, 9);
    expect(boxed.traverse.north[2]).toBeCloseTo(plain.traverse.north[2]!, 9);
    expect(boxed.walkedMetres).toBeCloseTo(plain.walkedMetres, 9);
    // The counts out and back have errors of their own, across the leg.
    expect(boxed.traverse.eastVariance[2]).toBeGreaterThan(plain.traverse.eastVariance[2]!);
  });

  it('boxed to either side never changes what follows, whatever is logged', () => {
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
        const [x, y] = [way(boxed, boxed.current, 0), way(longer, longer.current, 0)];
        expect(Math.abs(x.distanceMetres - y.distanceMetres)).toBeLessThan(1e-6);
        expect(boxed.traverse.legs).toBe(longer.traverse.legs);
      }),
    );
  });

  it('needs a leg, a side and both counts', () => {
    const fault = (text: string) => {
      const log = readLog(text, 'x', null);
      return log.ok ? null : log.fault[0]!.fault.code;
    };
    expect(fault('box left 20m along 40m')).toBe('no-leg-yet');
    expect(fault('000 50m\nbox 20m along 40m')).toBe('unexpected');
    expect(fault('000 50m\nbox left 20m')).toBe('unexpected');
    expect(fault('000 50m\nbox left 20p along 40m')).toBe('no-pace');
    expect(fault('000 50m\npassed left ; rocks\nlandmark ; cairn\nout 330\nexpect SW')).toBeNull();
  });
});

describe('landmarks', () => {
  it('seen from two stations stand where the rays cross, with an error figure', () => {
    const { solution } = solvedLog('see 045 rock ; Summit\n090 100m\nsee 315 ; summit');
    const [summit] = landmarks(solution);
    expect(summit).toMatchObject({ name: 'Summit', thing: 'rock' });
    expect(summit!.place!.east).toBeCloseTo(50, 9);
    expect(summit!.place!.north).toBeCloseTo(50, 9);
    // Each ray is worth 2° over 70.7 m across itself; the second station's own doubt joins it.
    const across = (50 * Math.SQRT2 * Math.PI) / 90;
    const least = Math.sqrt(-2 * Math.log(0.05)) * across;
    expect(summit!.place!.doubt.semiMinorMetres).toBeGreaterThan(0.99 * least);
    expect(summit!.place!.doubt.semiMajorMetres).toBeLessThan(2.1 * least);
  });

  it('from three rays is the one with the least squares', () => {
    const { solution } = solvedLog(
      'see 045 ; hill\n090 100m\nsee 316 ; hill\n180 50m\nsee 333 ; hill',
    );
    const { place, rays } = landmarks(solution)[0]!;
    expect(rays).toHaveLength(3);
    const { east, north } = solution.traverse;
    for (const { station, bearingDegrees } of rays) {
      const b = radians(bearingDegrees);
      const off =
        (place!.east - east[station]!) * Math.cos(b) -
        (place!.north - north[station]!) * Math.sin(b);
      expect(Math.abs(off)).toBeLessThan(3);
    }
  });

  it('one ray, rays on one line, rays that part, or two from one station give none', () => {
    for (const text of [
      'see 045 ; hill',
      'see 000 ; hill\n090 10m\nsee 001 ; hill',
      'see 045 ; hill\n090 100m\nsee 135 ; hill',
      'see 045 ; hill\nsee 315 ; hill',
    ]) {
      expect(landmarks(solvedLog(text).solution)[0]!.place).toBeNull();
    }
    expect(raysPath(solvedLog('see 045 ; hill\n090 100m').solution)).toMatch(/^M0\.00 -?0\.00L/);
  });
});

describe('side trips', () => {
  it('are drawn apart from the way to where one stands', () => {
    const { solution } = solvedLog('000 100m > A\n090 50m\n180 50m\nfrom A\n000 70m');
    const { way: main, sideTrips } = legsPaths(solution);
    expect(main.split('L')).toHaveLength(3);
    expect(sideTrips.split('L')).toHaveLength(3);
    const loop = solvedLog('000 100m > A\n090 50m\n270 50m > A').solution;
    expect(legsPaths(loop).way.split('L')).toHaveLength(3);
  });
});

describe('ink', () => {
  const strike = { at: '2026-08-14T10:20:00.000Z' };

  it('struck and then undone, a page is what it was; struck lines move nothing', () => {
    fc.assert(
      fc.property(anyOuting, fc.nat(), (outing, pick) => {
        const index = pick % outing.entries.length;
        const seen = outing.entries[index]!;
        const operations = strikeEntry(index, seen, strike)(outing, null);
        if (!operations.ok) {
          // Lines that others need are refused, and nothing is changed.
          expect(faultOf(operations.fault).code).toMatch(/station-in-use|no-pace|no-leg-yet/);
          return;
        }
        const done = applied(outing, operations.value);
        if (!done.ok) throw new Error(done.fault.code);
        expect(done.value.entries).toHaveLength(outing.entries.length);
        const undone = applied(done.value, inverse(operations.value));
        expect(undone.ok && undone.value).toEqual(outing);
        const bare = {
          ...done.value,
          entries: done.value.entries.filter(({ kind }) => kind !== 'struck'),
        };
        const [a, b] = [solved(done.value), solved(bare)];
        expect(way(a, a.current, 0)).toEqual(way(b, b.current, 0));
      }),
      { numRuns: 200 },
    );
  });

  it('the struck text is the line as the log had it, and reads back the same', () => {
    const { outing } = solvedLog('220T 65m ; a | b ; c\ndeclination 5 E');
    const operations = correctEntry(0, outing.entries[0]!, leg(1, 1), {
      ...strike,
      reason: 'slip',
    })(outing, null);
    const done = operations.ok ? applied(outing, operations.value) : operations;
    const text = done.ok ? writeLog(done.value) : '';
    expect(text).toContain(`  struck ${strike.at} | slip | 220T 65m ; a | b ; c\n001 1m`);
    const again = readLog(text, 'test', null);
    expect(again.ok && writeLog(again.value.outing)).toBe(text);
  });
});

describe('the leaf', () => {
  it('folds struck lines away, shows them on demand, and finds words', () => {
    const { solution } = solvedLog(
      '000 10m > Ford ; ice\nstruck 2026-08-14T10:20:00Z | slip | 090 99m\n090 90m\n  at 40 ; spring',
    );
    const all = leafRows(solution, warningsOf(solution), true);
    const folded = leafRows(solution, warningsOf(solution), false);
    expect(all).toHaveLength(4);
    expect(folded.map(({ index }) => index)).toEqual([0, 2, 3]);
    expect(rowsWith(folded, 'FORD ice')).toHaveLength(1);
    expect(rowsWith(folded, 'spring').map(({ index }) => index)).toEqual([3]);
    expect(rowsWith(all, '99m')).toHaveLength(1);
    expect(rowsWith(folded, 'many short legs').map(({ index }) => index)).toEqual([0]);
    expect(rowsWith(folded, ' ')).toBe(folded);
  });
});
