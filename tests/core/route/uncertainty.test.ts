import { describe, expect, it } from 'vitest';
import { planned } from '../../support/route/demo-route';
import { shareInside, simulate } from '../../support/walks/simulator';
import type { PlainLeg, PlainOuting } from '../../support/walks/plain-outing';

const LEGS: readonly Pick<PlainLeg, 'degrees' | 'metres' | 'ground'>[] = [
  { degrees: 40, metres: 620 },
  { degrees: 95, metres: 480, ground: 'bog' },
  { degrees: 350, metres: 900 },
  { degrees: 215, metres: 700, ground: 'bog' },
];

/** The same legs for the core and for the simulator, which know nothing of each other. */
const TEXT = [
  'declination 3 W',
  'convergence 0 E',
  'pace 65 per 100 m',
  'pace bog 78 per 100 m spread 6% of 5 walks',
  'point A at 54.2 -63.5',
  ...LEGS.flatMap(({ degrees, metres, ground }, index) => [
    // On a sheet square to true north a millimetre at 1:10 000 is ten metres.
    `point P${index} by ${String(degrees).padStart(3, '0')}T ${metres / 10}mm on 1:10000`,
    ...(ground ? [`ground ${ground}`] : []),
  ]),
].join('\n');

const outing = (legs: typeof LEGS): PlainOuting => ({
  name: 'plan',
  legs: legs.map((leg) => ({
    ...leg,
    written: '040',
    by: 'paces',
    aim: 'landmark',
    compass: '',
  })),
  home: { aim: 'landmark', compass: '', by: 'paces' },
  paces: { '': { metres: 1 / 0.65 }, bog: { metres: 1 / 0.78, spread: 0.06, walks: 5 } },
  declinationSigma: 0.5,
});

const TRIALS = 60_000;

describe('how sure a plan says one arrives', () => {
  const { legs } = planned(TEXT);

  it.each([0, 1, 2, 3])('holds 95 % of walks of leg %i from its own point', (index) => {
    const { semiMajorMetres, semiMinorMetres, azimuthDegrees } = legs[index]!.ellipse;
    const { map } = simulate(outing([LEGS[index]!]), TRIALS, 31 + index);
    const share = shareInside(map, semiMajorMetres, semiMinorMetres, azimuthDegrees);
    expect(share).toBeGreaterThan(0.945);
    expect(share).toBeLessThan(0.955);
  });

  it.each([2, 3, 4])('holds 95 % of walks over %i legs where no point is recognised', (count) => {
    const { semiMajorMetres, semiMinorMetres, azimuthDegrees } = legs[count - 1]!.ellipseFromStart;
    const { map } = simulate(outing(LEGS.slice(0, count)), TRIALS, 77 + count);
    const share = shareInside(map, semiMajorMetres, semiMinorMetres, azimuthDegrees);
    expect(share).toBeGreaterThan(0.945);
    expect(share).toBeLessThan(0.955);
  });

  it('and the chance of sight is that of the walks', () => {
    for (const [index, leg] of legs.entries()) {
      const { map } = simulate(outing([LEGS[index]!]), TRIALS, 5 + index);
      let seen = 0;
      for (let i = 0; i < map.length; i += 2) if (Math.hypot(map[i]!, map[i + 1]!) <= 50) seen++;
      expect(Math.abs(leg.chance - seen / TRIALS)).toBeLessThan(0.01);
    }
  });

  it('a leg with an aim off meets its line on the chosen side 19 times in 20', () => {
    const aimed = planned(`${TEXT.split('\n').slice(0, 6).join('\n')}\naim left 130T the shore`);
    const [leg] = aimed.legs;
    if (!leg?.aim?.ok) throw new Error('one can aim off');
    const { aim } = leg.aim;
    const walk: PlainLeg = {
      degrees: aim.bearingDegrees,
      metres: 620,
      written: '040',
      by: 'paces',
      aim: 'landmark',
      compass: '',
    };
    const { map } = simulate({ ...outing(LEGS), legs: [walk] }, TRIALS, 9);
    // The walker's side of the point where the track passes it: left of the heading.
    const RAD = Math.PI / 180;
    const [px, py] = [620 * Math.sin(40 * RAD), 620 * Math.cos(40 * RAD)];
    const [hx, hy] = [Math.sin(walk.degrees * RAD), Math.cos(walk.degrees * RAD)];
    let left = 0;
    for (let i = 0; i < map.length; i += 2) {
      const [x, y] = [620 * hx + map[i]!, 620 * hy + map[i + 1]!];
      // The direction really walked, from the start through where the walk ended.
      if (x * py - y * px < 0) left++;
    }
    expect(left / TRIALS).toBeGreaterThan(0.94);
    expect(left / TRIALS).toBeLessThan(0.96);
  });
});
