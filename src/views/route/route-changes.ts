import type { PlannedLeg, Route, RoutePoint } from '@/core/model/route';
import { nationalGrid } from '@/core/place/national-grids';
import type { Position } from '@/core/readings/position';

/** A leg with what is undefined left out, so that an empty plan leaves no key behind. */
function plainLeg(leg: PlannedLeg): PlannedLeg {
  const given = Object.entries(leg).filter(
    ([, value]) => value !== undefined && !(Array.isArray(value) && value.length === 0),
  );
  return Object.fromEntries(given) as PlannedLeg;
}

/** The point with another plan for the leg to it. */
function pointWithLeg({ leg: _leg, ...point }: RoutePoint, leg: PlannedLeg): RoutePoint {
  const plain = plainLeg(leg);
  return Object.keys(plain).length === 0 ? point : { ...point, leg: plain };
}

/** The route with another plan for the leg to a point. */
export const withLeg = (route: Route, number: number, leg: PlannedLeg): Route => ({
  ...route,
  points: route.points.map((point, index) => (index === number ? pointWithLeg(point, leg) : point)),
});

/** The route with a point in the place of another one; what was planned for its leg stays. */
export const withPoint = (route: Route, number: number, point: RoutePoint): Route => ({
  ...route,
  points: route.points.map((each, index) =>
    index === number ? { ...point, ...(each.leg && { leg: each.leg }) } : each,
  ),
});

/** The route with the grid that its places are read in, where it has none of its own yet. */
export function withGrid(route: Route, name: string | undefined): Route {
  const grid = name === undefined || route.convergence ? null : nationalGrid(name);
  if (!grid) return route;
  return { ...route, convergence: { source: 'projection', definition: grid.definition } };
}

/** The route with a point more, after the one of that number; -1 puts it first. */
export const withPointAfter = (route: Route, number: number, point: RoutePoint): Route => ({
  ...route,
  points: [...route.points.slice(0, number + 1), point, ...route.points.slice(number + 1)],
});

/** A point by its position: what was measured from the point before can't stay so elsewhere. */
function placed({ paper, ...point }: RoutePoint, position: Position | undefined): RoutePoint {
  return paper && position ? { ...point, position } : { ...point, ...(paper && { paper }) };
}

/** The point after one that goes away, or that changes places, keeps its own place. */
const placedAt = (
  points: readonly RoutePoint[],
  positions: readonly Position[],
  numbers: readonly number[],
): RoutePoint[] =>
  points.map((point, index) => (numbers.includes(index) ? placed(point, positions[index]) : point));

export function withoutPoint(route: Route, number: number, positions: readonly Position[]): Route {
  const points = placedAt(route.points, positions, [number + 1]);
  return { ...route, points: points.filter((_point, index) => index !== number) };
}

/** The route with a point one place earlier or later. */
export function movedPoint(
  route: Route,
  number: number,
  by: 1 | -1,
  positions: readonly Position[],
): Route {
  const first = Math.min(number, number + by);
  const points = placedAt(route.points, positions, [first, first + 1, first + 2]);
  const [one, other] = [points[first], points[first + 1]];
  if (!one || !other) return route;
  return { ...route, points: [...points.slice(0, first), other, one, ...points.slice(first + 2)] };
}
