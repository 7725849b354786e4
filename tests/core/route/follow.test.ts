import { describe, expect, it } from 'vitest';
import {
  followLines,
  followRoute,
  outingOfRoute,
  replannedFrom,
  routeFollowed,
} from '@/core/navigation/route/follow';
import { planOf } from '@/core/navigation/route/plan';
import { readLines } from '@/core/log-text/read-log';
import { writeLog } from '@/core/log-text/write-log';
import type { Outing } from '@/core/model/outing';
import { earthModels } from '@/core/north/loaded-earth-models';
import { planePointOf } from '@/core/place/geodesic';
import { positionOfStation } from '@/core/survey/positions';
import { stationName } from '@/core/survey/solution';
import { solve } from '@/core/survey/solve';
import { solvedLog } from '../../support/outings';
import { lengthOf } from '@/core/units/plane';
import { planned, ROUTE_TEXT } from '../../support/route/demo-route';

const plan = planned(ROUTE_TEXT);

/** The outing of the route with these lines logged on it. */
function followed(...lines: string[]) {
  const outing = outingOfRoute(plan, 'o')!;
  const log = readLines(lines.join('\n'), 'o');
  if (!log.ok) throw new Error(JSON.stringify(log.fault));
  const whole: Outing = { ...outing, entries: [...outing.entries, ...log.value.outing.entries] };
  const solved = solve(whole, earthModels);
  if (!solved.ok) throw new Error(JSON.stringify(solved.fault));
  return followRoute(solved.value, plan);
}

/** The line that logs a leg of the plan just as it was planned. */
const asPlanned = (number: number) => {
  const { set, metres, to } = plan.legs[number - 1]!;
  return `${set!.degrees.toFixed(2)} ${metres.toFixed(2)}m > ${to}`;
};

describe('an outing that follows a route', () => {
  it('begins at its start with its declination and its paces, and says so in its log', () => {
    const outing = outingOfRoute(plan, 'o')!;
    expect(outing).toMatchObject({
      start: { name: 'Dock', position: { latitude: 54.2, longitude: -63.5 } },
      declination: { source: 'model' },
      follows: { route: 'route', note: 'Gauges over the plateau' },
    });
    expect(outing.entries.map(({ kind }) => kind)).toEqual(['pace', 'pace']);
    const text = writeLog(outing);
    expect(text).toContain('\nfollows route ; Gauges over the plateau\n');
    const read = readLines(text, 'o');
    expect(read.ok && read.value.outing.follows).toEqual(outing.follows);
    expect(readLines('follows two words', 'o').ok).toBe(false);
    expect(outingOfRoute(planned('declination none\n'), 'o')).toBeNull();
  });

  it('is shown the way to the next point, from the point where it is', () => {
    const { reached, next, way, set, alongMetres } = followed();
    expect([reached, next?.to]).toEqual([0, 'Gauge 1']);
    expect(alongMetres).toBeCloseTo(0, 6);
    expect(way!.distanceMetres).toBeCloseTo(plan.legs[0]!.metres, 6);
    expect(set!.degrees).toBeCloseTo(plan.legs[0]!.set!.degrees, 6);
  });

  it('has reached a point once a leg leads to its name, whatever the letters', () => {
    const { reached, next, compared } = followed(asPlanned(1).replace('Gauge 1', 'gauge  1'));
    expect([reached, next?.to]).toEqual([1, 'Cairn']);
    expect(compared).toHaveLength(1);
    expect(compared[0]!.offMetres).toBeLessThan(0.1);
    expect(compared[0]!.walkedMetres).toBeCloseTo(plan.legs[0]!.metres, 1);
  });

  it('off the line after a detour is shown how far, and the way from there', () => {
    // Half of the way, then 120 m square to its right.
    const { set, metres } = plan.legs[0]!;
    const right = (set!.degrees + 90) % 360;
    const here = followed(
      `${set!.degrees.toFixed(2)} ${(metres / 2).toFixed(2)}m`,
      `${right.toFixed(2)} 120m`,
    );
    expect(here.reached).toBe(0);
    expect(here.alongMetres).toBeCloseTo(metres / 2, 0);
    expect(here.rightMetres).toBeCloseTo(120, 0);
    expect(here.way!.distanceMetres).toBeCloseTo(Math.hypot(metres / 2, 120), 0);
    // What was walked since the last point adds to how far off one may be.
    expect(here.within95Metres).toBeGreaterThan(followed().within95Metres / 2);
  });

  it('goes on from the map’s place of a point that was recognised, not from the log’s', () => {
    const { set, metres } = plan.legs[0]!;
    const short = followed(`${set!.degrees.toFixed(2)} ${(metres - 200).toFixed(2)}m > Gauge 1`);
    expect(short.compared[0]!.offMetres).toBeCloseTo(200, 0);
    expect(short.way!.distanceMetres).toBeCloseTo(plan.legs[1]!.metres, 3);
  });

  it('is at the end with the last point, and misses none that was left out', () => {
    const end = followed(asPlanned(1), '090 100m > Gauge 2');
    expect([end.reached, end.next]).toEqual([3, null]);
    expect(end.compared.map(({ leg }) => leg.number)).toEqual([1]);
  });

  it('is planned again from where one is, with the points that are left', () => {
    const here = { latitude: 54.205, longitude: -63.507 };
    const route = replannedFrom(plan, here, 1, 'new');
    expect(route.points.map(({ name }) => name)).toEqual(['Here', 'Cairn', 'Gauge 2']);
    const again = planOf(route, earthModels);
    if (!again.ok) throw new Error('it can be planned');
    expect(again.value.positions[0]).toEqual(here);
    const off = planePointOf(again.value.positions[1]!, plan.positions[2]!);
    expect(lengthOf(off)).toBeLessThan(0.01);
  });

  it('without a place on the earth says that there is no way', () => {
    const log = readLines('declination none\n090 100m', 'o');
    if (!log.ok) throw new Error('it can be read');
    const solved = solve(log.value.outing, null);
    if (!solved.ok) throw new Error('it can be solved');
    const nowhere = followRoute(solved.value, plan);
    expect([nowhere.way, nowhere.here, nowhere.next?.to]).toEqual([null, null, 'Gauge 1']);
  });

  it('goes on within the outing in hand, from where one is; its start stays home', () => {
    const begun = solvedLog(
      'start Hut at 54.21 -63.49\ndeclination 19 W\npace 65 per 100 m\n220 300m\n300 200m > Dock',
    );
    const here = positionOfStation(begun.solution.places, 2)!;
    const route = replannedFrom(plan, here, -1, 'new');
    expect(route.points.map(({ name }) => name)).toEqual([
      'Here',
      ...plan.route.points.map(({ name }) => name),
    ]);
    const entries = [...begun.outing.entries, ...followLines(route)];
    expect(writeLog({ ...begun.outing, entries })).toMatch(
      /\nroute new ; Gauges over the plateau\n$/,
    );
    const toRoute = planOf(route, earthModels);
    if (!toRoute.ok) throw new Error(JSON.stringify(toRoute.fault));
    const on = (...more: Outing['entries']) => {
      const solved = solve({ ...begun.outing, entries: [...entries, ...more] }, earthModels);
      if (!solved.ok) throw new Error(JSON.stringify(solved.fault));
      return { solution: solved.value, ...followRoute(solved.value, toRoute.value) };
    };
    const start = on();
    expect(routeFollowed(start.solution)).toEqual({ route: 'new', station: 2, leg: 2 });
    expect([start.reached, start.next?.to]).toEqual([0, 'Dock']);
    expect(start.way!.distanceMetres).toBeCloseTo(toRoute.value.legs[0]!.metres, 6);
    expect(stationName(start.solution, 0)).toBe('Hut');
    // Legs count from the line on: a place of that name before it is no point of the route.
    const leg = readLines('220 10m > Dock', 'o');
    const there = leg.ok ? on(...leg.value.outing.entries) : expect.fail();
    expect([there.reached, there.next?.to]).toEqual([1, 'Gauge 1']);
    // Another plan counts from the start of the outing, as ever.
    expect(followRoute(start.solution, plan).reached).toBe(0);
  });
});
