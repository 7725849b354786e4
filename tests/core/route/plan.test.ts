import { USUAL_FIGURES } from '@/core/units/figures';
import { signedDifference } from '@/core/units/angle';
import { leaveText } from '@/core/navigation/route/leave-text';
import { bearingText } from '@/ui/units/shown';
import geodesic from 'geographiclib-geodesic';
import proj4 from 'proj4';
import { describe, expect, it } from 'vitest';
import { legMinutes } from '@/core/navigation/route/timing';
import { gridMetresOf } from '@/core/place/paper';
import { METRES_PER_FOOT } from '@/core/units/units';
import { gridName, shownScale } from '@/core/navigation/route/plan';
import { planned, planOfText, ROUTE_TEXT } from '../../support/route/demo-route';

const { WGS84 } = geodesic.Geodesic;

/** A route between two places, on the map's own grid, with a declination that was typed. */
const between = (from: readonly number[], to: readonly number[], head = '') =>
  planned(
    `date 2026-08-14\ndeclination 3 W\n${head}point A at ${from.join(' ')}\n` +
      `point B at ${to.join(' ')}\n`,
  ).legs[0]!;

describe('bearings of a leg', () => {
  // All zones of the grid, north and south, at their middles and at their edges; near both ends.
  const places = Array.from({ length: 60 }, (_, zone) => zone).flatMap((zone) =>
    [-79.5, -41.3, -0.02, 0.02, 37.9, 54.2, 70.4, 83.5].flatMap((latitude) =>
      [0.01, 3, 5.99].map((across) => [latitude, -180 + 6 * zone + across] as const),
    ),
  );

  it('are the grid’s by proj4 and the earth’s by geodesics, in all zones', () => {
    let [worstGrid, worstTrue, checked] = [0, 0, 0];
    for (const [index, [latitude, longitude]] of places.entries()) {
      // Enough of them for each zone and latitude, in other directions each.
      if (index % 5 !== 0) continue;
      const azimuth = (index * 47) % 360;
      const end = WGS84.Direct(latitude, longitude, azimuth, 800 + (index % 700));
      const leg = between([latitude, longitude], [end.lat2!, end.lon2!]);
      const zone = Number(/zone=(\d+)/.exec(zoneOf(latitude, longitude))![1]);
      const grid = proj4(
        `+proj=utm +zone=${zone} ${latitude < 0 ? '+south ' : ''}+ellps=WGS84 +units=m`,
      );
      const [e0, n0] = grid.forward([longitude, latitude]);
      const [e1, n1] = grid.forward([end.lon2!, end.lat2!]);
      const wanted = (Math.atan2(e1! - e0!, n1! - n0!) * 180) / Math.PI;
      const off = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180);
      worstGrid = Math.max(worstGrid, off(leg.bearing.grid!, wanted));
      worstTrue = Math.max(worstTrue, off(leg.bearing.true!, azimuth));
      expect(leg.metres).toBeCloseTo(800 + (index % 700), 4);
      expect(off(leg.bearing.magnetic!, azimuth + 3)).toBeLessThan(1e-7);
      checked++;
    }
    expect(checked).toBeGreaterThan(280);
    expect(worstGrid).toBeLessThan(1e-6);
    expect(worstTrue).toBeLessThan(1e-6);
  });

  /** The zone that maps of a place use, by the published exceptions off Norway and Svalbard. */
  function zoneOf(latitude: number, longitude: number): string {
    const usual = Math.min(60, Math.floor((longitude + 180) / 6) + 1);
    if (latitude >= 72 && longitude >= 0 && longitude < 42) {
      return `zone=${longitude < 9 ? 31 : longitude < 21 ? 33 : longitude < 33 ? 35 : 37}`;
    }
    return `zone=${usual}`;
  }

  it('are from a projection where the map has one of its own', () => {
    const proj = '+proj=tmerc +lat_0=54 +lon_0=-63.5 +k=1 +x_0=100000 +y_0=0 +ellps=WGS84';
    const leg = between([54.2, -63.4], [54.21, -63.39], `convergence proj ${proj}\n`);
    const grid = proj4(proj);
    const [e0, n0] = grid.forward([-63.4, 54.2]);
    const [e1, n1] = grid.forward([-63.39, 54.21]);
    expect(leg.bearing.grid).toBeCloseTo((Math.atan2(e1! - e0!, n1! - n0!) * 180) / Math.PI, 8);
    expect(leg.gridMetres).toBeCloseTo(Math.hypot(e1! - e0!, n1! - n0!), 6);
  });

  // A bearing of the map is turned to the compass's by the grid-magnetic angle: with the needle
  // 13° east of the grid 293 becomes 280, with 3° west 79 becomes 82. Common practice, no source.
  it.each([
    [293, '13 E', 280],
    [349, '13 E', 336],
    [79, '3 W', 82],
    [2, '5 E', 357],
    [358, '5 W', 3],
  ])('are set by the sum of the trade: %i on the map with %s is %i', (grid, angle, magnetic) => {
    const head = `declination ${angle}\nconvergence 0 E\npoint A at 0 3\n`;
    const [leg] = planned(`${head}point B by ${grid}G 40mm on 1:25000\n`).legs;
    expect(leg!.set).toMatchObject({ north: 'magnetic' });
    expect(leg!.set!.degrees).toBeCloseTo(magnetic, 6);
    expect(leg!.gridToMagnetic!.start.degrees).toBeCloseTo(grid, 6);
    expect(leg!.gridToMagnetic!.end.degrees).toBeCloseTo(magnetic, 6);
  });

  it('are set as the declination method says', () => {
    const set = (lines: string) => {
      const [leg] = planned(
        `declination 10 E\nconvergence 2 E\n${lines}point A at 0 3\n` +
          'point B by 100G 40mm on 1:25000\n',
      ).legs;
      return [Math.round(leg!.set!.degrees), leg!.set!.north];
    };
    expect(set('')).toEqual([92, 'magnetic']);
    expect(set('correction compass-set\nshow grid\n')).toEqual([100, 'grid']);
    expect(set('correction compass-set\nshow true\n')).toEqual([102, 'true']);
    expect(set('correction left-out\n')).toEqual([100, 'magnetic']);
    expect(set('correction magnetic-map\n')).toEqual([100, 'magnetic']);
  });

  it('have no magnetic side without a declination, and say so', () => {
    const plan = planned('declination none\npoint A at 54.2 -63.5\npoint B at 54.21 -63.5\n');
    expect(plan.legs[0]!.bearing).toMatchObject({ magnetic: null, true: 0 });
    expect(plan.legs[0]!.set).toBeNull();
  });
});

describe('lengths from paper', () => {
  it('are the length times the scale', () => {
    // 2 in at 1:25 000 are 50 000 in: 666.7 paces of 6.25 ft. Common practice, no source.
    const metres = gridMetresOf({ length: 2, unit: 'in', scale: 25_000 });
    expect(metres / (6.25 * METRES_PER_FOOT)).toBeCloseTo(666.67, 2);
    expect(gridMetresOf({ length: 4, unit: 'cm', scale: 25_000 })).toBeCloseTo(1000, 9);
    // An inch to the mile: 1:63 360.
    expect(gridMetresOf({ length: 1, unit: 'in', scale: 63_360 })).toBeCloseTo(1609.344, 6);
  });

  it('are counted in paces of the ground', () => {
    const plan = planned(
      'declination none\npace 6.25 ft\npoint A at 0 3\npoint B by 090T 2in on 1:25000\n',
    );
    // Nothing but the grid's scale (0.9996 and what the distance from the middle adds) is between.
    expect(plan.legs[0]!.paces!).toBeCloseTo(666.67 * (plan.legs[0]!.metres / 1270), 1);
  });

  it('tell where a metre of the grid is not one of the ground', () => {
    const at = (grid: string) =>
      shownScale(planned(`declination none\n${grid}point A at 0 3\npoint B at 0.005 3\n`));
    // On the middle of a zone it is 0.9996; below a thousandth it is not told.
    expect(at('')).toBeNull();
    expect(at('convergence proj +proj=tmerc +lon_0=3 +k=0.998 +ellps=WGS84\n')).toBeCloseTo(
      0.998,
      9,
    );
    // A Mercator sheet has no square metres: at 60 degrees a metre of its grid is half a metre.
    const [leg] = planned(
      'declination none\nconvergence proj +proj=merc +ellps=WGS84\n' +
        'point A at 60 3\npoint B at 60 3.01\n',
    ).legs;
    expect(leg!.gridMetres / leg!.metres).toBeCloseTo(1.994, 2);
  });

  it('put a point where the grid puts it', () => {
    const { positions } = planned(
      'declination none\npoint A at 20U 467000 6006000\npoint B by 090G 40mm on 1:25000\n',
    );
    const grid = proj4('+proj=utm +zone=20 +ellps=WGS84');
    const [e, n] = grid.forward([positions[1]!.longitude, positions[1]!.latitude]);
    expect([e, n]).toEqual([expect.closeTo(468_000, 1), expect.closeTo(6_006_000, 1)]);
  });
});

describe('times of a leg', () => {
  it.each([
    // Naismith 1892 in the metric form of the trade: 5 km and 600 m up are two hours.
    ['naismith', 5, 5000, 600, 0, 120],
    ['level', 5, 5000, 600, 0, 60],
    ['naismith', 4, 4000, 0, 300, 60],
    // Langmuir 1984 (memory): 10 minutes less for 300 m down at 5° to 12°, more where steeper.
    ['langmuir', 5, 2500, 0, 300, 20],
    ['langmuir', 5, 1000, 0, 300, 22],
    ['langmuir', 5, 5000, 0, 300, 60],
  ] as const)(
    '%s at %i km/h over %i m, %i up and %i down: %i min',
    (timing, speed, metres, up, down, minutes) => {
      expect(legMinutes(timing, speed, metres, up, down)).toBeCloseTo(minutes, 9);
    },
  );

  it('add up, and come to the ticks in proportion', () => {
    const { legs, minutes, metres } = planned(ROUTE_TEXT);
    expect(minutes).toBeCloseTo(
      legs.reduce((sum, leg) => sum + leg.minutes, 0),
      9,
    );
    expect(legs.at(-1)!.metresFromStart).toBeCloseTo(metres, 9);
    const [first] = legs;
    const [tick] = first!.ticks;
    expect(tick!.minutesFromStart / first!.minutes).toBeCloseTo(200 / first!.metres, 9);
    expect(tick!.paces).toBeCloseTo(200 * 0.78, 6);
  });
});

describe('the grid of a plan', () => {
  it('is named by its zone, or by its projection', () => {
    const of = (head: string, place: string) =>
      gridName(planned(`declination none\n${head}point A at ${place}\n`));
    expect(of('', '54.2 -63.5')).toBe('UTM zone 20 north');
    expect(of('', '-33.5 151.2')).toBe('UTM zone 56 south');
    const proj = '+proj=tmerc +lon_0=-63 +ellps=WGS84';
    expect(of(`convergence proj ${proj}\n`, '54.2 -63.5')).toBe(proj);
    expect(of('convergence 1.2 E\n', '54.2 -63.5')).toBeNull();
  });
});

describe('what can’t be planned', () => {
  it('is reported with the point that it stops at', () => {
    const of = (text: string) => {
      const plan = planOfText(text);
      return plan.ok ? null : [plan.fault.point, plan.fault.fault.code];
    };
    expect(of('declination model\npoint A at 0 3\npoint B at 0 4\n')).toEqual([
      null,
      'model-needs',
    ]);
    expect(of('declination none\npoint A at 0 3\npoint B by 010M 4cm on 1:25000\n')).toEqual([
      1,
      'no-declination',
    ]);
    expect(of('declination none\npoint A at 85 3\npoint B by 010G 4cm on 1:25000\n')).toEqual([
      1,
      'convergence-unknown',
    ]);
  });

  it('is nothing but the start with one point, and nothing with none', () => {
    expect(planned('declination none\n')).toMatchObject({ legs: [], positions: [], metres: 0 });
    expect(planned('declination none\npoint A at 0 3\n').legs).toEqual([]);
  });

  it('with aiming off has one bearing to set, wherever it is reported', () => {
    const plan = planned(ROUTE_TEXT.replace('aim left 010T', 'aim left 120T'));
    const leg = plan.legs.find(({ aim }) => aim?.ok)!;
    if (!leg.aim?.ok) throw new Error('the demo aims off');
    expect(leg.set).toEqual(leg.aim.set);
    const turn = Math.abs(signedDifference(leg.set!.degrees, leg.direct!.degrees));
    expect(turn).toBeCloseTo(
      Math.abs(signedDifference(leg.aim.aim.bearingDegrees, leg.bearing.true!)),
      6,
    );
    expect(turn).toBeGreaterThan(2);
    const line = leaveText(plan, null, USUAL_FIGURES)
      .split('\n')
      .find((each) => each.startsWith(`${leg.number}.`))!;
    expect(line).toContain(`${bearingText(leg.set!.degrees)} magnetic`);
    expect(line).toMatch(/; aiming off left onto the burnt edge$/);
    for (const other of plan.legs) if (!other.aim) expect(other.set).toEqual(other.direct);
  });
});
