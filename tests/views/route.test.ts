import { describe, expect, it } from 'vitest';
import { routeSchema } from '@/core/model/route';
import { arrivalEntries } from '@/views/route/follow/arrival-entries';
import {
  movedPoint,
  withLeg,
  withoutPoint,
  withPoint,
  withPointAfter,
} from '@/views/route/route-changes';
import { minutesText, sideWords } from '@/views/route/words';
import { planned, ROUTE_TEXT } from '../support/route/demo-route';

const plan = planned(ROUTE_TEXT);
const { route, positions } = plan;
const names = (changed: typeof route) => changed.points.map(({ name }) => name);

describe('a change of a route', () => {
  it('of a leg leaves nothing empty behind', () => {
    const leg = withLeg(route, 1, { upMetres: 3, dangers: [], handrail: undefined });
    expect(leg.points[1]!.leg).toEqual({ upMetres: 3 });
    expect(withLeg(route, 1, {}).points[1]).not.toHaveProperty('leg');
    expect(leg.points[3]).toBe(route.points[3]);
  });

  it('adds a point after another one, and replaces one but not its leg', () => {
    const point = { name: 'X', position: positions[0]! };
    expect(names(withPointAfter(route, 1, point))).toEqual([
      'Dock',
      'Gauge 1',
      'X',
      'Cairn',
      'Gauge 2',
    ]);
    expect(names(withPointAfter(route, -1, point))[0]).toBe('X');
    expect(withPoint(route, 1, point).points[1]).toMatchObject({
      name: 'X',
      leg: { ground: 'bog' },
    });
  });

  it('keeps the place of a point that was measured from the one that goes away', () => {
    const without = withoutPoint(route, 1, positions);
    expect(names(without)).toEqual(['Dock', 'Cairn', 'Gauge 2']);
    expect(without.points[1]).toMatchObject({ position: positions[2] });
    expect(without.points[1]).not.toHaveProperty('paper');
    expect(routeSchema.safeParse(without).success).toBe(true);
  });

  it('moves a point, and never one that has no neighbour there', () => {
    const moved = movedPoint(route, 2, -1, positions);
    expect(names(moved)).toEqual(['Dock', 'Cairn', 'Gauge 1', 'Gauge 2']);
    expect(moved.points[1]).toMatchObject({ position: positions[2] });
    expect(movedPoint(route, 3, 1, positions)).toEqual(route);
    expect(routeSchema.safeParse(movedPoint(route, 1, 1, positions)).success).toBe(true);
  });
});

describe('words of a route', () => {
  it('have hours and sides', () => {
    expect([minutesText(59.4), minutesText(60), minutesText(125)]).toEqual([
      '59 min',
      '1 h 00 min',
      '2 h 05 min',
    ]);
    expect([sideWords('left'), sideWords(undefined)]).toEqual([', on your left', '']);
  });

  it('log nothing where no way is known', () => {
    const nowhere = { next: plan.legs[0]!, way: null, set: null };
    expect(arrivalEntries(nowhere as Parameters<typeof arrivalEntries>[0])).toBeNull();
  });
});
