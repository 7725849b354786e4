import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import { checkRoute } from '@/core/checks/route';
import { fieldAt, type FieldAtPlace } from '@/core/north/earth-models';
import { earthModels } from '@/core/north/loaded-earth-models';
import type { Barrier, Crossing } from '@/core/checks/route/route-check';
import { clockText, planTime, sunsetMinutes } from '@/core/navigation/route/clock';
import { catchingWords, legInWords, slopeWords } from '@/core/navigation/route/in-words';
import { leaveText } from '@/core/navigation/route/leave-text';
import { planned, ROUTE_TEXT } from '../../support/route/demo-route';

const START = 'declination 19 W\npoint A at 54.2 -63.5\n';
const found = (
  text: string,
  barriers: Barrier[] = [],
  sunset: number | null = null,
  field: FieldAtPlace | null = null,
  crossings: Crossing[] = [],
) =>
  checkRoute(
    planned(text),
    { sunsetMinutes: sunset, barriers, crossings, field },
    USUAL_FIGURES,
  ).map(({ code, leg, message }) => `${leg ?? '-'} ${code}: ${message}`);
/** A point so many millimetres away at 1:10 000, to the east. */
const east = (mm: number, more = '') => `point B by 090T ${mm}mm on 1:10000\n${more}`;

describe('what is missing in a plan', () => {
  it('over 500 m is what tells that one went too far', () => {
    expect(found(START + east(51))).toContainEqual(
      expect.stringMatching(/^1 nothing-catches: Leg 1 is 510 m long, and nothing tells you/),
    );
    const codes = (text: string) => found(text).map((each) => each.split(/[ :]/)[1]);
    expect(codes(START + east(49))).not.toContain('nothing-catches');
    expect(codes(START + east(51, 'catch 100m the brook'))).not.toContain('nothing-catches');
  });

  it('is how an unseen point will be met', () => {
    expect(found(START + east(90))).toContainEqual(
      expect.stringMatching(/^1 target-unseen: B will/),
    );
    for (const help of ['handrail the brook', 'aim left 000T the brook']) {
      expect(found(START + east(90, help)).join()).not.toContain('target-unseen');
    }
    expect(found(`sight 400m\n${START}${east(90)}`).join()).not.toContain('target-unseen');
  });

  it('is a declination that can’t be right there: 3° and four sigmas off the model', () => {
    const field = fieldAt(earthModels, { latitude: 54.2, longitude: -63.5 }, '2026-07-30');
    const codes = (declination: string) =>
      found(`declination ${declination}\npoint A at 54.2 -63.5\n${east(10)}`, [], null, field)
        .filter((each) => each.includes('declination'))
        .map((each) => each.replace(/:.*apart\./, ':'));
    expect(codes('19 E')).toEqual(['- declination-doubtful: East and west swapped?']);
    const off = -field!.eastDegrees - 2.9;
    expect(codes(`${off.toFixed(2)} W`)).toEqual([]);
    expect(codes(`${(off - 0.2).toFixed(2)} W`)).toHaveLength(1);
    // Where the needle is weak the model itself may be off by more.
    const weak = { ...field!, sigmaDegrees: 2 };
    const beside = found(`declination 12 W\npoint A at 54.2 -63.5\n${east(10)}`, [], null, weak);
    expect(beside.join()).not.toContain('declination-doubtful');
  });

  it('is the declination, where there is none', () => {
    expect(found(`declination none\npoint A at 54.2 -63.5\n${east(10)}`)[0]).toMatch(
      /^- no-declination/,
    );
  });
});

describe('what looks wrong in a plan', () => {
  it.each([
    ['W', /180° error: two points swapped/],
    ['NW', /points read wrongly/],
  ])('is a leg that the person says goes %s', (point, words) => {
    const [warning] = found(START + east(20, `expect ${point}`));
    expect(warning).toMatch(/^1 other-way: You say that leg 1 goes roughly/);
    expect(warning).toMatch(words);
  });

  it.each(['E', 'NE', 'SSE'])('is none that roughly agrees: %s', (point) => {
    expect(found(START + east(20, `expect ${point}`)).join()).not.toContain('other-way');
  });

  it('is a tick beyond the end, a point at the same place, an aim that is too flat', () => {
    const all = found(
      START +
        east(20, 'tick 250m rock\naim left 095T the shore\n') +
        'point C by 090T 0.05mm on 1:10000',
    );
    expect(all).toContainEqual(expect.stringMatching(/^1 tick-beyond: “rock” at 250 m/));
    expect(all).toContainEqual(expect.stringMatching(/^1 aim-impossible: .*flat angle/));
    expect(all).toContainEqual(expect.stringMatching(/^2 same-place: B and C/));
  });

  it('is a leg straight over a barrier, and none beside it', () => {
    const at = (longitude: number): Barrier => ({
      name: 'the gorge',
      positions: [
        { latitude: 54.19, longitude },
        { latitude: 54.2005, longitude },
        { latitude: 54.21, longitude: longitude + 0.001 },
      ],
    });
    // 0.003° of longitude here are 196 m.
    expect(found(START + east(40), [at(-63.497)])).toContainEqual(
      expect.stringMatching(/^1 crosses-barrier: Leg 1 goes straight over the gorge, after 19\d m/),
    );
    expect(found(START + east(10), [at(-63.497)]).join()).not.toContain('crosses-barrier');
  });

  it('is none at a gate, and names the nearest gate elsewhere', () => {
    const fence: Barrier = {
      name: 'the fence',
      positions: [
        { latitude: 54.19, longitude: -63.497 },
        { latitude: 54.21, longitude: -63.497 },
      ],
    };
    const gate = (latitude: number): Crossing => ({
      name: 'Gate',
      position: { latitude, longitude: -63.497 },
    });
    const warned = (...gates: Crossing[]) =>
      found(START + east(40), [fence], null, null, gates).filter((each) => each.includes('cross'));
    // 0.0001° of latitude are 11 m.
    expect(warned(gate(54.2001))).toEqual([]);
    expect(warned(gate(54.2002))[0]).toMatch(/Plan a point at Gate, 22 m from there/);
    // Another gate on the same fence does not hide that this one is far.
    expect(warned(gate(54.22))[0]).toMatch(/or mark the gate or bridge/);
  });

  it('is an end after sunset, or after the hour that was set', () => {
    const text = `date 2026-08-14 18:00\nback 18:30\nspeed 1 kmh\n${START}${east(100)}`;
    const all = found(text, [], 18 * 60 + 45);
    expect(all[0]).toMatch(/arrive at 19:00, after 18:30/);
    expect(all[1]).toMatch(/arrive at 19:00, after sunset at 18:45/);
    expect(found(text.replace('18:00', '08:00'), [], 18 * 60).join()).not.toContain('late');
  });
});

describe('a leg in words', () => {
  it('says which way, which slope and which handrail', () => {
    const [first, second] = planned(ROUTE_TEXT).legs;
    expect(legInWords(first!)).toBe('roughly north-west, up and down, the stream on the left');
    expect(slopeWords(second!)).toBeNull();
    expect(catchingWords(first!, USUAL_FIGURES)).toBe(
      'If you meet the shore of the upper pond (after 1,092 m), you went 120 m too far.',
    );
    const slope = (line: string) => slopeWords(planned(START + east(20, line)).legs[0]!);
    expect(['climb 20m', 'climb 0m down 20m', 'climb 2m down 3m'].map(slope)).toEqual([
      'uphill',
      'downhill',
      'level',
    ]);
  });
});

describe('the clock of a plan', () => {
  it('counts from the hour of leaving, or in minutes', () => {
    const plan = planned(ROUTE_TEXT);
    expect(planTime(plan, 95)).toBe('10:35');
    expect(planTime(planned(START), 95)).toBe('+95 min');
    expect([clockText(1500), clockText(-10), clockText(59.6)]).toEqual(['01:00', '23:50', '01:00']);
  });

  it('knows the sunset of the place, three hours west of Greenwich', () => {
    // Sunset at 54.2 N on 14 August: day length 14 h 34 min, noon at 13:18 by that clock.
    const minutes = sunsetMinutes(planned(ROUTE_TEXT), -180)!;
    expect(Math.abs(minutes - (20 * 60 + 35))).toBeLessThan(15);
    expect(sunsetMinutes(planned(START), -180)).toBeNull();
    const polar = 'date 2026-06-21\ndeclination none\npoint A at 80 10\npoint B at 80.01 10\n';
    expect(sunsetMinutes(planned(polar), 60)).toBeNull();
  });

  it('is in the text that is left with someone, with who and whom to call', () => {
    const text = leaveText(planned(ROUTE_TEXT), 20 * 60 + 47, USUAL_FIGURES);
    expect(text).toContain('Who: two of us, red jackets\n');
    expect(text).toMatch(/^1\. To Gauge 1 \(54\.20620 -63\.51050\): 334° magnetic, 972 m, by/m);
    expect(text).toContain('Sunset there: 20:47\nWe turn back by 13:00');
    expect(text.trimEnd().split('\n').at(-1)).toBe(
      'If you have not heard from us by then: the warden at the dock',
    );
    expect(leaveText(planned('declination none\n'), null, USUAL_FIGURES)).toBe(
      'Route: without a name\n',
    );
  });
});
