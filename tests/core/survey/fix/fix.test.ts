import geodesic from 'geographiclib-geodesic';
import { describe, expect, it } from 'vitest';
import { crossingsOnEarth, fixOnEarth } from '@/core/survey/fix/on-earth';
import { nextMark } from '@/core/survey/fix/next-mark';
import { inDirection, pathsHere } from '@/core/survey/fix/identify';
import { NO_STATIONS } from '@/core/survey/fix/sights';
import { planePointOf } from '@/core/place/geodesic';
import { lengthOf } from '@/core/units/plane';
import { asked, markAt, sightOf } from '../../../support/survey/sights';
import { randomSource } from '../../../support/walks/random-source';

const { WGS84 } = geodesic.Geodesic;
const HERE = { latitude: 54.2, longitude: -63.5 };

/** A mark so far from the traveller in a direction, and the bearing to it. */
function markFrom(name: string, azimuth: number, metres: number, sigmaMetres = 0.1) {
  const end = WGS84.Direct(HERE.latitude, HERE.longitude, azimuth, metres);
  return markAt(name, end.lat2!, end.lon2!, sigmaMetres);
}

/** How far a position is from where the traveller is, in metres, by geodesics. */
const offHere = ({ latitude, longitude }: typeof HERE) =>
  WGS84.Inverse(HERE.latitude, HERE.longitude, latitude, longitude).s12!;

const codes = (warnings: readonly { code: string }[]) => warnings.map(({ code }) => code);

describe('a fix', () => {
  it('by two exact bearings is where they cross, to a centimetre at 40 km as well', () => {
    for (const metres of [300, 4000, 40_000]) {
      const [a, b] = [markFrom('a', 20, metres), markFrom('b', 110, 1.3 * metres)];
      const { found, warnings } = fixOnEarth(asked([sightOf(a, 20), sightOf(b, 110)]));
      expect(offHere(found!.position)).toBeLessThan(0.01);
      expect(found!.fix.cuts!.best).toBeCloseTo(90, 1);
      expect(found!.fix.test).toBeNull();
      expect(warnings).toEqual([]);
    }
  });

  it('has the σ·d of each line across it, where they cross squarely', () => {
    const [a, b] = [markFrom('a', 0, 1000), markFrom('b', 90, 1000)];
    const { found } = fixOnEarth(asked([sightOf(a, 0), sightOf(b, 90)]));
    // Following 2°, reading 1°/√12; what both share, compass 1.5° and declination 0.5°, is a turn.
    const own = (Math.PI / 180) * Math.hypot(2, 1 / Math.sqrt(12)) * 1000;
    const shared = (Math.PI / 180) * Math.hypot(1.5, 0.5) * 1000;
    const { xx, xy, yy } = found!.fix.covariance;
    // Within 2 %: the equations bend a little over 45 m at 1,000 m.
    expect(Math.abs(Math.sqrt(xx) / Math.hypot(own, shared) - 1)).toBeLessThan(0.02);
    expect(Math.abs(Math.sqrt(yy) / Math.hypot(own, shared) - 1)).toBeLessThan(0.02);
    expect(Math.abs(Math.abs(xy) / shared ** 2 - 1)).toBeLessThan(0.08);
  });

  it('takes a bearing read at the mark by the meridian there', () => {
    const [a, b] = [markFrom('a', 70, 60_000), markFrom('b', 160, 50_000)];
    const toHere = WGS84.Inverse(
      a.position.latitude,
      a.position.longitude,
      HERE.latitude,
      HERE.longitude,
    ).azi1!;
    // The meridians differ by more than half a degree here: a bearing less 180° would not do.
    expect(Math.abs(toHere + 180 - 70)).toBeGreaterThan(0.5);
    const sights = [sightOf(a, (toHere + 360) % 360, { back: true }), sightOf(b, 160)];
    expect(offHere(fixOnEarth(asked(sights)).found!.position)).toBeLessThan(0.01);
  });

  it('is had by one bearing and the distance to its mark', () => {
    const hut = markFrom('hut', 305, 240);
    const { found } = fixOnEarth(asked([sightOf(hut, 305, { metres: 240 })]));
    expect(offHere(found!.position)).toBeLessThan(0.01);
  });

  it('says why there is none', () => {
    const [north, far] = [markFrom('cairn', 0, 1000), markFrom('mast', 0.2, 2000)];
    const say = (...sights: Parameters<typeof sightOf>[]) => {
      const { found, warnings } = fixOnEarth(asked(sights.map((each) => sightOf(...each))));
      expect(found).toBeNull();
      expect(warnings).toHaveLength(1);
      return warnings[0]!;
    };
    expect(say([north, 0]).code).toBe('too-few');
    expect(say([north, 0], [north, 3]).message).toMatch(/two bearings to cairn/);
    expect(say([north, 0], [{ ...north, name: 'Cairn 2' }, 3]).code).toBe('same-mark');
    expect(say([north, 0], [far, 0]).code).toMatch(/bearings-alike|behind|cut-flat/);
    expect(say([north, 1], [markFrom('hill', 9, 3000), 9]).code).toBe('cut-flat');
    const east = markFrom('tower', 90, 1000);
    const reversed = say([north, 0], [east, 270]);
    expect(reversed.code).toBe('behind');
    expect(reversed.message).toMatch(/tower points away.*180° error/);
  });

  it('warns of a flat cut and of a mark at hand', () => {
    const flat = [markFrom('a', 10, 1000), markFrom('b', 32, 1200)];
    const { found, warnings } = fixOnEarth(asked([sightOf(flat[0]!, 10), sightOf(flat[1]!, 32)]));
    expect(found).not.toBeNull();
    expect(codes(warnings)).toEqual(['cut-flat']);
    const near = [markFrom('gate', 10, 8), markFrom('b', 100, 1200)];
    expect(
      codes(fixOnEarth(asked([sightOf(near[0]!, 10), sightOf(near[1]!, 100)])).warnings),
    ).toContain('at-mark');
  });

  it('names the bearing that disagrees, where the others agree', () => {
    const azimuths = [10, 80, 150, 220, 300];
    const sights = azimuths.map((azimuth) =>
      sightOf(markFrom(`at ${azimuth}`, azimuth, 1500), azimuth),
    );
    sights[2] = sightOf(sights[2]!.mark, 150 - 14);
    const { found, warnings } = fixOnEarth(asked(sights));
    expect(codes(warnings)).toEqual(['bearing-disagrees']);
    expect(warnings[0]!.message).toMatch(/^at 150 disagrees by 1[3-5]°/);
    const wrong = found!.fix.bearings[2]!;
    expect(wrong.offDegrees).toBeCloseTo(-14, -0.5);
    expect(found!.fix.test!.p).toBeLessThan(0.001);
  });
});

describe('the compass’s own error', () => {
  const azimuths = [15, 130, 250];
  const marks = azimuths.map((azimuth) => markFrom(`at ${azimuth}`, azimuth, 2000));

  it('is found by three bearings that share it, and the place with it', () => {
    const turned = marks.map((mark, i) => sightOf(mark, azimuths[i]! + 6));
    const { found } = fixOnEarth(asked(turned, true));
    expect(found!.fix.compass!.degrees).toBeCloseTo(6, 1);
    expect(offHere(found!.position)).toBeLessThan(2);
    // Taken as an error like others, the same readings would put one far off.
    expect(offHere(fixOnEarth(asked(turned)).found!.position)).toBeLessThan(200);
  });

  it('can’t be reported near the circle through the marks, which is said within 2 % of it', () => {
    // Marks on a circle of 2 km about a centre; the traveller at some share of its radius.
    const onCircle = [20, 80, 150].map((azimuth) => markFrom(`m${azimuth}`, azimuth, 2000));
    for (const [share, isDanger] of [
      [0.02, true],
      [-0.02, true],
      [0, true],
      [0.3, false],
      [-0.6, false],
    ] as const) {
      const at = WGS84.Direct(HERE.latitude, HERE.longitude, 260, 2000 * (1 + share));
      const sights = onCircle.map((mark) => {
        const { latitude, longitude } = mark.position;
        return sightOf(
          mark,
          (WGS84.Inverse(at.lat2!, at.lon2!, latitude, longitude).azi1! + 360) % 360,
        );
      });
      const { found, warnings } = fixOnEarth(asked(sights, true));
      const isTold = found === null || codes(warnings).includes('danger-circle');
      expect(isTold, `${share}`).toBe(isDanger);
    }
  });

  // J. M. Tienstra's formula, as in A. Bannister and S. Raymond, Surveying (from memory), which
  // takes the angles between three marks alone: another way to the same place.
  it('leaves the place of Tienstra’s three-point resection', () => {
    const random = randomSource(18);
    let checked = 0;
    while (checked < 40) {
      const [a, b, c] = [0, 1, 2].map(() => ({
        x: 4000 * random.uniform() - 2000,
        y: 4000 * random.uniform() - 2000,
      })) as [Point, Point, Point];
      const truth = { x: 1000 * random.uniform() - 500, y: 1000 * random.uniform() - 500 };
      const place = tienstra(a, b, c, truth);
      if (!place) continue;
      expect(Math.hypot(place.x - truth.x, place.y - truth.y)).toBeLessThan(1e-4);
      const sights = [a, b, c].map((point, i) => {
        const mark = positionOf(point);
        const at = positionOf(truth);
        const line = WGS84.Inverse(at.lat2!, at.lon2!, mark.lat2!, mark.lon2!);
        return sightOf(markAt(`m${i}`, mark.lat2!, mark.lon2!), (line.azi1! + 371.5) % 360);
      });
      const { found, warnings } = fixOnEarth(asked(sights, true));
      if (!found && warnings[0]?.code === 'cut-flat') continue;
      checked++;
      const { lat2, lon2 } = positionOf(truth);
      const off = WGS84.Inverse(lat2!, lon2!, found!.position.latitude, found!.position.longitude);
      expect(off.s12).toBeLessThan(1);
    }
  });
});

interface Point {
  readonly x: number;
  readonly y: number;
}

const positionOf = ({ x, y }: Point) =>
  WGS84.Direct(HERE.latitude, HERE.longitude, (Math.atan2(x, y) * 180) / Math.PI, Math.hypot(x, y));

/** The barycentric form: weights 1 / (cot A - cot α) of each mark. Null where it is ill-set. */
function tienstra(a: Point, b: Point, c: Point, at: Point): Point | null {
  const azimuth = (from: Point, to: Point) => Math.atan2(to.x - from.x, to.y - from.y);
  const cot = (angle: number) => 1 / Math.tan(angle);
  const weight = (p: Point, q: Point, r: Point) => {
    const atMark = azimuth(p, r) - azimuth(p, q);
    const here = azimuth(at, r) - azimuth(at, q);
    return 1 / (cot(atMark) - cot(here));
  };
  const [ka, kb, kc] = [weight(a, b, c), weight(b, c, a), weight(c, a, b)];
  const sum = ka + kb + kc;
  // Near the danger circle the weights grow without bound and cancel; small ones are far away.
  const spread = Math.max(Math.abs(ka), Math.abs(kb), Math.abs(kc)) / Math.abs(sum);
  const apart = [
    [a, b],
    [b, c],
    [c, a],
    [a, at],
    [b, at],
    [c, at],
  ].map(([p, q]) => Math.hypot(p!.x - q!.x, p!.y - q!.y));
  if (spread > 3 || Math.min(...apart) < 500) return null;
  return {
    x: (ka * a.x + kb * b.x + kc * c.x) / sum,
    y: (ka * a.y + kb * b.y + kc * c.y) / sum,
  };
}

describe('one bearing and a line feature', () => {
  const hill = markFrom('hill', 0, 2000);
  const at = (azimuth: number, metres: number) => markFrom('', azimuth, metres).position;
  // A river that runs from west to east through the traveller's place, and back farther south.
  const river = {
    name: 'river',
    positions: [at(270, 900), at(90, 700), at(150, 1500), at(200, 1600)],
    sigmaMetres: 10,
  };

  it('cross at each place with the mark ahead', () => {
    const { crossings } = crossingsOnEarth(asked([sightOf(hill, 0)]), river);
    expect(crossings).toHaveLength(2);
    const near = crossings.map(({ position }) => offHere(position)).sort((a, b) => a - b);
    expect(near[0]).toBeLessThan(1);
    expect(near[1]).toBeGreaterThan(1000);
    const { covariance } = crossings.find(({ position }) => offHere(position) < 1)!.fix;
    // Along the line of sight the river's own 10 m; across it σ_b·d.
    expect(Math.sqrt(covariance.yy)).toBeCloseTo(10, 0);
    const sigma = (Math.PI / 180) * Math.hypot(2, 1 / Math.sqrt(12), 1.5, 0.5);
    expect(Math.sqrt(covariance.xx)).toBeCloseTo(sigma * 2000, -0.5);
  });

  it('say so where they don’t, and where the hill would be behind', () => {
    const along = crossingsOnEarth(asked([sightOf(markFrom('east', 90, 2000), 60)]), river);
    expect(along.crossings.every(({ cutDegrees }) => cutDegrees >= 12)).toBe(true);
    const behind = crossingsOnEarth(asked([sightOf(hill, 180)]), river);
    expect(behind.crossings).toEqual([]);
    expect(codes(behind.warnings)).toEqual(['no-crossing']);
  });
});

describe('one bearing among many that is far off', () => {
  const marks = [0, 70, 130, 200, 265, 320].map((azimuth, i) =>
    markFrom(`m${i}`, azimuth, 800 + 300 * i),
  );
  const azimuths = [0, 70, 130, 200, 265, 320];

  it.each([0, 2, 5])('mark %i read from the wrong end is named, and left out', (wrong) => {
    for (const count of [4, 6]) {
      if (wrong >= count) continue;
      const sights = marks
        .slice(0, count)
        .map((mark, i) => sightOf(mark, (azimuths[i]! + (i === wrong ? 180.4 : 0.3)) % 360));
      const { found, warnings } = fixOnEarth(asked(sights));
      expect(codes(warnings)).toContain('bearing-disagrees');
      const [first] = warnings;
      expect(first!.message).toMatch(new RegExp(`^m${wrong} .*by 1(79|80)°.* others alone`));
      expect(lengthOf(planePointOf(HERE, found!.position))).toBeLessThan(40);
      expect(found!.fix.bearings).toHaveLength(count);
      expect(found!.fix.bearings[wrong]!.mark.name).toBe(`m${wrong}`);
      expect(found!.fix.leftOut).toBe(wrong);
    }
  });

  it('is not left out where two are off, or by no more than a poor reading', () => {
    const read = (off: readonly number[]) =>
      fixOnEarth(
        asked(marks.slice(0, 4).map((mark, i) => sightOf(mark, (azimuths[i]! + off[i]!) % 360))),
      ).found?.fix.leftOut;
    expect(read([180, 180, 0, 0])).toBeUndefined();
    expect(read([14, 0, 0, 0])).toBeUndefined();
  });
});

describe('what helps', () => {
  it('is the mark that makes the ellipse least', () => {
    const [a, b] = [markFrom('a', 10, 1500), markFrom('b', 45, 1500)];
    const { found } = fixOnEarth(asked([sightOf(a, 10), sightOf(b, 45)]));
    const others = [markFrom('ahead', 30, 2500), markFrom('aside', 120, 1500), a];
    const options = { stations: NO_STATIONS, compassHere: 0 };
    const next = nextMark(found!, others, options)!;
    expect(next.mark.name).toBe('aside');
    expect(next.semiMajorMetres).toBeLessThan(found!.fix.ellipse.semiMajorMetres);
    expect(next.bearingDegrees).toBeCloseTo(120, 3);
    const { found: again } = fixOnEarth(
      asked([sightOf(a, 10), sightOf(b, 45), sightOf(others[1]!, 120)]),
    );
    const ratio = again!.fix.ellipse.semiMajorMetres / next.semiMajorMetres;
    expect(Math.abs(ratio - 1)).toBeLessThan(0.02);
  });

  it('names the known places in a direction, nearest in angle first', () => {
    const known = [
      markFrom('far off', 80, 500),
      markFrom('two', 62, 900),
      markFrom('abroad', 60, 400_000),
      markFrom('one', 59, 4000),
    ];
    const found = inDirection(HERE, 60, known, 10);
    expect(found.map(({ mark }) => mark.name)).toEqual(['one', 'two']);
    expect(found[1]!.offDegrees).toBeCloseTo(2, 6);
  });

  it('tells which path runs as the one underfoot', () => {
    const path = (name: string, from: [number, number], to: [number, number]) => ({
      name,
      positions: [markFrom('', ...from).position, markFrom('', ...to).position],
      sigmaMetres: 10,
    });
    const paths = [
      path('across', [270, 400], [90, 400]),
      path('along', [350, 1000], [150, 900]),
      path('far', [0, 9000], [10, 9000]),
    ];
    const found = pathsHere(HERE, 345, paths, { metres: 500, degrees: 15 });
    expect(found.map(({ line }) => line.name)).toEqual(['along', 'across']);
    expect(found[0]!.offDegrees).toBeLessThan(15);
    expect(found[1]!.metres).toBeLessThan(1);
  });
});
