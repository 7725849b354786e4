import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import { paceImplausible } from '@/core/checks/legs/pace-implausible';
import { clockOf, plannedFrom, timeOn } from '@/core/navigation/place-clock';
import { daylightAt } from '@/core/navigation/sun';
import { timesOf } from '@/core/survey/leg-times';
import { ownSpeed, speedHome, speedOn } from '@/core/navigation/ways/ground-speeds';
import { walkMinutes } from '@/core/navigation/ways/walk-time';
import { solvedLog } from '../../../support/outings';

describe('speeds by ground', () => {
  const speed = (text: string) => speedHome(solvedLog(text).solution);

  it('175 m of brush are seven minutes, not two', () => {
    // Common practice, no source.
    expect(walkMinutes(175, speedOn('brush'))).toBeCloseTo(7, 9);
    expect(walkMinutes(175, speedOn(undefined))).toBeCloseTo(2.1, 9);
    expect(speedOn('bog')).toBe(speedOn(undefined));
  });

  it('home is as fast as the grounds walked, each by its length', () => {
    expect(speed('000 1000m')).toBe(5);
    expect(speed('000 1000m on brush')).toBe(1.5);
    // 1 km in 12 min and 500 m in 20: 1.5 km in 32 min.
    expect(speed('000 1000m track\n090 500m on brush')).toBe(2.8);
  });

  it('or as fast as the ground that the walk home is said to be on', () => {
    expect(speed('000 1000m\nhome on brush')).toBe(1.5);
    // By the times noted on that ground alone, where there are any.
    const timed = 'date 2026-08-14 09:00\n000 1000m @09:12\n090 500m on brush @09:42\n';
    expect(speed(`${timed}home on brush`)).toBe(1);
    expect(speed(`${timed}home snow`)).toBe(2.5);
    expect(speed(timed)).toBe(2.1);
    const { solution } = solvedLog(timed);
    expect(ownSpeed(solution, '')).toBe(5);
    // A stretch over two grounds tells the speed on neither.
    const mixed = solvedLog('date 2026-08-14 09:00\n000 1000m\n090 500m on brush @09:42').solution;
    expect(ownSpeed(mixed, 'brush')).toBeNull();
    expect(ownSpeed(mixed)).toBeCloseTo(1.5 / 0.7, 9);
  });
});

describe('time and light', () => {
  // W. W. Naismith, 1892, in the metric form of the trade: 5 km/h and an hour for 600 m of climb.
  it('5 km take an hour, 600 m of climb another, and going down takes nothing off', () => {
    expect(walkMinutes(5000, 5)).toBe(60);
    expect(walkMinutes(5000, 5, 600)).toBe(120);
    expect(walkMinutes(5000, 5, -600)).toBe(60);
  });

  it('the speed so far is from the first to the last time, over midnight too', () => {
    expect(
      ownSpeed(solvedLog('date 2026-08-14 09:00\n000 1km @09:15\n090 1km @09:30').solution),
    ).toBeCloseTo(4, 9);
    expect(ownSpeed(solvedLog('000 1km @23:50\n090 1km @00:10').solution)).toBeCloseTo(3, 9);
    expect(ownSpeed(solvedLog('000 1km @09:00').solution)).toBeNull();
    expect(ownSpeed(solvedLog('000 1km\n090 5m').solution)).toBeNull();
  });

  // Sunset at Greenwich after the Astronomical Almanac, from memory, good to some minutes; civil
  // twilight lasts 33 to 48 minutes there.
  it.each([
    ['2025-03-20', 18 * 60 + 13],
    ['2025-06-21', 20 * 60 + 21],
    ['2025-12-21', 15 * 60 + 53],
  ])('sunset at Greenwich on %s', (day, minutes) => {
    const greenwich = { latitude: 51.4779, longitude: 0 };
    const light = daylightAt(greenwich, Date.parse(`${day}T12:00:00Z`));
    const { sunset, twilightEnds } = light.kind === 'sets' ? light : expect.fail(light.kind);
    const at = (sunset - Date.parse(`${day}T00:00:00Z`)) / 60_000;
    expect(Math.abs(at - minutes)).toBeLessThan(4);
    const twilight = (twilightEnds! - sunset) / 60_000;
    expect(twilight).toBeGreaterThan(28);
    expect(twilight).toBeLessThan(52);
  });

  it('polar night is distinguished from midnight sun, and from all-night twilight', () => {
    const light = (latitude: number, day: string) =>
      daylightAt({ latitude, longitude: 15 }, Date.parse(`${day}T12:00:00Z`));
    expect(light(78, '2026-06-21')).toEqual({ kind: 'stays-up' });
    expect(light(-78, '2026-12-21')).toEqual({ kind: 'stays-up' });
    expect(light(78, '2026-12-21')).toEqual({
      kind: 'never-rises',
      twilightBegins: null,
      twilightEnds: null,
    });
    expect(light(-78, '2026-06-21').kind).toBe('never-rises');
    // At 69° in December the sun stays down, and noon has civil twilight.
    expect(light(69, '2026-12-21')).toMatchObject({
      kind: 'never-rises',
      twilightEnds: expect.any(Number) as number,
    });
    expect(light(62, '2026-06-21')).toMatchObject({ kind: 'sets', twilightEnds: null });
  });
});

describe('the clock of an outing', () => {
  const speed = (text: string) => ownSpeed(solvedLog(text).solution);
  const slips = (text: string) => timesOf(solvedLog(text).solution).slips.length;

  it('passes a slip back over (it made the speed 0 and the arrival infinite)', () => {
    const text = '000 1km @10:00\n090 1km @10:30\n180 1km @10:10\n270 1km @11:00';
    expect(slips(text)).toBe(1);
    expect(speed(text)).toBeCloseTo(3, 9);
    expect(paceImplausible(solvedLog(text).solution, USUAL_FIGURES)[0]!.message).toMatch(
      /goes back.*passed over/,
    );
  });

  it('lets days roll over (an outing of two days walked 36 km/h)', () => {
    const text = '000 1km @15:00\n090 3km @16:00\n180 1km @08:00\n270 6km @10:00';
    expect(slips(text)).toBe(0);
    expect(timesOf(solvedLog(text).solution).lastMinutes).toBe(34 * 60);
    expect(speed(text)).toBeCloseTo(3, 9);
  });

  it('counts a halt apart from walking (a rest prefilled 0.2 km/h)', () => {
    const text = '000 1km @10:00\n090 1km @10:20\n180 200m @11:20\n270 1km @11:40';
    expect(speed(text)).toBeCloseTo(3, 9);
  });

  it('ends at a halt: its minutes are no walking, however it is written', () => {
    const walk = '000 1km @10:00\n090 1km\n';
    // A kilometre in the 20 minutes that the halt leaves of 45.
    expect(speed(`${walk}halt 25min\n180 1km @10:45`)).toBeCloseTo(6, 9);
    // By its times: a kilometre until 10:20, another from 10:35 on.
    const between = timesOf(solvedLog(`${walk}halt 10:20-10:35\n180 1km @10:45`).solution);
    expect(between.stretches.map(({ minutes, metres }) => [minutes, metres])).toEqual([
      [20, 1000],
      [10, 1000],
    ]);
    expect(speed('000 1km @10:00\n090 1km @10:20\nhalt 30 min\nhalt 10min\n0 1km @11:20'))
      // Both halts of the hour: 20 minutes are left.
      .toBeCloseTo(3, 9);
    // Over midnight; and the light is planned from the end of the halt.
    const late = timesOf(solvedLog('000 1km @23:50\nhalt 23:50-00:20\n090 1km @00:40').solution);
    expect(late.stretches.at(-1)).toMatchObject({ minutes: 20, metres: 1000 });
    expect(late.lastMinutes).toBe(24 * 60 + 40);
    expect(timesOf(solvedLog('000 1km @10:00\nhalt 10min').solution).lastMinutes).toBe(610);
    expect(timesOf(solvedLog('000 1km @10:00\nhalt 09:50-10:20').solution).slips).toHaveLength(1);
    // Longer than the time between two times: nothing was walked in none.
    expect(speed('000 1km @10:00\nhalt 60min\n090 1km @10:20')).toBeNull();
  });

  it('counts the way to a station that a `from` names', () => {
    const { solution } = solvedLog('000 1km @10:00 > A\n000 1km > B\nfrom A\n090 1km @11:00');
    expect(timesOf(solution).stretches[0]).toMatchObject({ metres: 3000, minutes: 60 });
  });

  it('is the device’s near by, and by the sun’s zone for a place on another meridian', () => {
    const { solution } = solvedLog('start Dock at 54.2 -63.5\n000 1km');
    expect(clockOf(solution, -180)).toEqual({ offsetMinutes: -180, isDevice: true });
    expect(clockOf(solution, 60)).toEqual({ offsetMinutes: -240, isDevice: false });
    expect(
      timeOn({ offsetMinutes: -240, isDevice: false }, Date.parse('2026-08-14T14:05:00Z')),
    ).toBe('10:05');
    const pacific = solvedLog('start Islet at 0 179\n000 1km').solution;
    expect(clockOf(pacific, -12 * 60).isDevice).toBe(true);
  });

  it('an outing of another day is planned from its own last time', () => {
    const { solution } = solvedLog('date 2026-08-14 09:00\n000 1km @10:42');
    const clock = { offsetMinutes: -240, isDevice: true };
    const now = Date.parse('2026-11-25T12:00:00Z');
    expect(plannedFrom(solution, clock, now)).toEqual({
      at: Date.parse('2026-08-14T14:42:00Z'),
      ofOuting: true,
    });
    const sameDay = Date.parse('2026-08-14T20:00:00Z');
    expect(plannedFrom(solution, clock, sameDay)).toEqual({ at: sameDay, ofOuting: false });
    const undated = solvedLog('000 1km').solution;
    expect(plannedFrom(undated, clock, now)).toEqual({ at: now, ofOuting: false });
  });
});
