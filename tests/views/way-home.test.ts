import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daylightAt, type Daylight } from '@/core/navigation/sun';
import { firstLight, isDarkAt, isNightAt } from '@/core/navigation/sun';
import { chanceWords, type Planning } from '@/views/shared/ways/words';
import { planningWords } from '@/views/way-home/planning-words';
import { lightLeftWords } from '@/views/home-now/words';

/** What a saying of a chance stands for. */
function shareOf(words: string): number {
  if (words === 'almost certain') return 0.99;
  const [, one, of] = /^(?:less than )?(\d+) in (\d+)$/.exec(words) ?? [];
  return words.startsWith('less') ? 0 : Number(one) / Number(of);
}

describe('a chance in words', () => {
  it('is rounded down and never up', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (chance) => {
        expect(shareOf(chanceWords(chance))).toBeLessThanOrEqual(chance);
      }),
    );
    expect([chanceWords(0.949), chanceWords(0.95), chanceWords(0.09)]).toEqual([
      '9 in 10',
      '19 in 20',
      'less than 1 in 10',
    ]);
  });
});

describe('the daylight of a plan', () => {
  const noon = Date.parse('2026-08-14T12:00:00Z');
  const hour = 3_600_000;
  const plan = (light: Daylight | null, more: Partial<Planning> = {}): Planning => ({
    now: noon,
    ofOuting: false,
    light,
    time: (at) => new Date(at).toISOString().slice(11, 16),
    bySun: false,
    ...more,
  });

  it('says when to leave, or that it is too late', () => {
    const light: Daylight = {
      kind: 'sets',
      twilightBegins: noon - 7 * hour,
      sunrise: noon - 6 * hour,
      sunset: noon + 6 * hour,
      twilightEnds: null,
    };
    expect(planningWords(plan(light), 60)).toBe(
      'Sunset 18:00, and twilight all night. Leave by 17:00 to be there before sunset.',
    );
    expect(planningWords(plan(light), 600)).toMatch(/stop while there is light/);
    expect([isDarkAt(light, noon), isDarkAt(light, noon + 7 * hour)]).toEqual([false, true]);
  });

  it('before dawn promises no light (12 h 35 min were promised at 03:15)', () => {
    const place = { latitude: 54.2, longitude: -63.5 };
    // Four hours west: 03:15 there on a December morning.
    const at = Date.parse('2026-12-01T07:15:00Z');
    const light = daylightAt(place, at);
    const there = (moment: number) => new Date(moment - 4 * hour).toISOString().slice(11, 16);
    const early = plan(light, { now: at, time: there });
    expect(planningWords(early, 60)).toMatch(
      /^It is dark until 07:[23]\d \(sunrise 08:[01]\d\): stay put .* Sunset 1[56]:\d\d\.$/,
    );
    expect(lightLeftWords(early)).toMatch(/^It is dark until 07:[23]\d/);
    expect(isDarkAt(light, at)).toBe(true);
    // One leaves at first light, and not in the night.
    expect([isNightAt(light, at), isNightAt(light, at + 4.5 * hour)]).toEqual([true, false]);
    expect(firstLight(light, at) - at).toBeGreaterThan(4 * hour);
    expect(firstLight(light, at + 4.5 * hour)).toBe(at + 4.5 * hour);
    const dawn = plan(light, { now: at + 4.5 * hour, time: there });
    expect(lightLeftWords(dawn)).toMatch(/^Twilight: the sun rises at 08:[01]\d\./);
    const day = plan(light, { now: at + 6 * hour, time: there });
    expect(lightLeftWords(day)).toMatch(/^6 h \d+ min of light left: sunset 1[56]:\d\d\./);
    expect(isDarkAt(light, at + 6 * hour)).toBe(false);
    // Polar night has no light to promise either.
    const north = { latitude: 78, longitude: 15 };
    expect(lightLeftWords(plan(daylightAt(north, noon + 130 * 24 * hour)))).toMatch(
      /^The sun does not rise here on this day\. Carry a light\./,
    );
  });

  it('tells midnight sun from polar night, and whose clock it is', () => {
    expect(planningWords(plan({ kind: 'stays-up' }), 60)).toBe(
      'The sun stays up here all day and night.',
    );
    const night: Daylight = {
      kind: 'never-rises',
      twilightBegins: noon - hour,
      twilightEnds: noon + hour,
    };
    expect(planningWords(plan(night), 60)).toMatch(
      /does not rise.*Light to read a map by from 11:00 to 13:00/,
    );
    expect([isDarkAt(night, noon), isDarkAt({ kind: 'stays-up' }, noon)]).toEqual([false, false]);
    // Beyond the circle the light is the twilight: dark before it and after.
    expect([noon - 2 * hour, noon + 2 * hour].map((at) => isDarkAt(night, at))).toEqual([
      true,
      true,
    ]);
    const deep: Daylight = { kind: 'never-rises', twilightBegins: null, twilightEnds: null };
    expect([isDarkAt(deep, noon), firstLight(deep, noon)]).toEqual([true, noon]);
    const other = plan(night, { ofOuting: true, bySun: true });
    expect(planningWords(other, 60)).toMatch(/^Planned from the outing’s own last time, 12:00\./);
    expect(planningWords(other, 60)).toMatch(/use the hour zone of the start’s longitude\.$/);
    expect(planningWords(plan(null), 60)).toMatch(/set the position of the start/);
  });
});
