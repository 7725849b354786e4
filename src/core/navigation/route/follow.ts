import { sumCovariance } from '../../errors/covariance';
import { within95 } from '../../errors/ellipse';
import type { Entry } from '../../entries/entry';
import type { Outing } from '../../model/outing';
import type { Route } from '../../model/route';
import { shownBearing } from '../../north/norths';
import { planePointOf } from '../../place/geodesic';
import { nameKey } from '../../readings/name';
import type { Position } from '../../readings/position';
import { walkLog } from '../../survey/log-walk';
import { positionOfStation } from '../../survey/positions';
import { northShown, type Solution } from '../../survey/solution';
import type { Bearing } from '../../units/bearing';
import { azimuthOf, lengthOf, offsetFromLine, ORIGIN } from '../../units/plane';
import type { Degrees, Metres } from '../../units/units';
import { totalOf, walkErrors } from '../walk-errors';
import { wayOnEarth, type Way } from '../ways/way';
import type { RouteLeg } from './leg';
import type { Plan } from './plan';
import { headerAt } from './points';
import { nth } from '../../units/nth';

/** A planned leg beside what was walked between its two points, by the log. */
interface Compared {
  readonly leg: RouteLeg;
  readonly walkedMetres: Metres;
  readonly walkedTrueDegrees: Degrees | null;
  /** Where the log puts the point, against where the map does. */
  readonly offMetres: Metres;
}

/** Where someone is on a route, by the log. */
export interface Followed {
  /** The point that was reached last. */
  readonly reached: number;
  /** The leg to the next point; null at the end of the route. */
  readonly next: RouteLeg | null;
  /** Where the log puts one; null where the outing is not on the earth. */
  readonly here: Position | null;
  /** Along the planned leg from the point before, and to its right. */
  readonly alongMetres: Metres;
  readonly rightMetres: Metres;
  /** The straight way from here to the next point, and what to set for it. */
  readonly way: Way | null;
  readonly set: Bearing | null;
  /** The same straight to the point, which is how it is logged as walked. */
  readonly direct: Bearing | null;
  /** How far off the next point one may be on arrival, 95 %. */
  readonly within95Metres: Metres;
  readonly compared: readonly Compared[];
}

/** An outing that follows a route: its start, its declination and its paces, and an empty log. */
export function outingOfRoute({ route, positions }: Plan, id: string): Outing | null {
  const [first] = route.points;
  const [position] = positions;
  if (!first || !position) return null;
  return {
    ...headerAt(route, first.name, position),
    id,
    follows: { route: route.id, ...(route.name !== '' && { note: route.name }) },
    entries: [...route.paces],
  };
}

/** The route that a log follows now, and the station and the leg from which on. */
export interface OnRoute {
  readonly route: string;
  readonly station: number;
  /** The last leg before; 0 for none. */
  readonly leg: number;
}

/** What its last `route` line says, else its header; null where it follows none. */
export function routeFollowed(solution: Solution): OnRoute | null {
  const { follows } = solution.outing;
  let found: OnRoute | null = follows ? { route: follows.route, station: 0, leg: 0 } : null;
  for (const { entry, station, leg } of walkLog(solution)) {
    if (entry.kind === 'route') found = { route: entry.route, station, leg: leg?.number ?? 0 };
  }
  return found;
}

/** The lines by which an outing in hand follows a route from where one is. */
export const followLines = ({ id, name }: Route): Entry[] => [
  { kind: 'route', route: id, ...(name !== '' && { note: name }) },
];

/** The stations of a log that are points of the route, by the number of the point. */
function stationsOfPoints(solution: Solution, route: Route): ReadonlyMap<number, number> {
  const on = routeFollowed(solution);
  const [first, before] = on?.route === route.id ? [on.station, on.leg] : [0, 0];
  const found = new Map<number, number>([[0, first]]);
  let next = 1;
  for (const { number, reading, to } of solution.legs) {
    if (reading.to === undefined || number <= before) continue;
    const key = nameKey(reading.to);
    const ahead = route.points.findIndex(
      (point, index) => index >= next && nameKey(point.name) === key,
    );
    if (ahead < 0) continue;
    found.set(ahead, to);
    next = ahead + 1;
  }
  return found;
}

function comparedLegs(
  solution: Solution,
  plan: Plan,
  stations: ReadonlyMap<number, number>,
): Compared[] {
  // What was walked is known in paces alone.
  if (solution.places.frame.unit === 'pace') return [];
  return plan.legs.flatMap((leg) => {
    const [from, to] = [stations.get(leg.number - 1), stations.get(leg.number)];
    if (from === undefined || to === undefined) return [];
    const walked = solution.places.relative(from, to);
    const at = positionOfStation(solution.places, to);
    const point = nth(plan.positions, leg.number);
    const isTrue = solution.places.frame.north === 'true';
    return {
      leg,
      walkedMetres: lengthOf(walked),
      walkedTrueDegrees: isTrue ? azimuthOf(walked) : null,
      offMetres: at ? lengthOf(planePointOf(point, at)) : NaN,
    };
  });
}

/**
 * Where someone is on a route by the log of an outing: a point counts as reached once a leg leads
 * to a station of its name. The way goes straight from where the log puts one to the next point.
 */
export function followRoute(solution: Solution, plan: Plan): Followed {
  const stations = stationsOfPoints(solution, plan.route);
  const reached = Math.max(...stations.keys());
  const next = plan.legs[reached] ?? null;
  const { places, current } = solution;
  // At a point that was recognised one is where the map puts it, not where the log does.
  const isAtPoint = stations.get(reached) === current;
  const here = isAtPoint ? nth(plan.positions, reached) : positionOfStation(places, current);
  const compared = comparedLegs(solution, plan, stations);
  const target = plan.positions[reached + 1];
  const nowhere = { alongMetres: 0, rightMetres: 0, way: null, within95Metres: NaN };
  const unset = { set: null, direct: null };
  if (!next || !here || !target) {
    return { reached, next, here, compared, ...nowhere, ...unset };
  }
  const before = nth(plan.positions, reached);
  const line = planePointOf(before, target);
  const off = offsetFromLine(planePointOf(before, here), ORIGIN, line);
  const vector = planePointOf(here, target);
  const way = wayOnEarth(solution, vector);
  const direct = shownBearing(way.bearing, northShown(solution));
  const walk = totalOf(walkErrors(solution, [vector]));
  const since = places.relative(stations.get(reached) ?? 0, current);
  return {
    reached,
    next,
    here,
    compared,
    alongMetres: off.along,
    rightMetres: off.right,
    way,
    // From the point before it is walked as it is planned, and that may be with aiming off.
    set: isAtPoint && next.aim?.ok ? (next.set ?? direct) : direct,
    direct,
    within95Metres: within95(isAtPoint ? walk : sumCovariance(walk, totalOf(since))),
  };
}

/**
 * A route from where one is to the points that are left; the plan it was stays as it is. `reached`
 * is the point that was reached last, -1 for none.
 */
export function replannedFrom(
  { route, positions }: Plan,
  here: Position,
  reached: number,
  id: string,
): Route {
  const left = route.points.slice(reached + 1).map((point, index) => {
    const { paper: _paper, ...rest } = point;
    return { ...rest, position: nth(positions, reached + 1 + index) };
  });
  return { ...route, id, points: [{ name: 'Here', position: here }, ...left] };
}
