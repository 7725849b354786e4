import type { Fault } from '../../faults/fault';
import type { Route } from '../../model/route';
import type { EarthModels } from '../../north/earth-models';
import { converted } from '../../north/norths';
import { outingNorths, type OutingNorths } from '../../north/outing-norths';
import { mapGrid, type MapGrid } from '../../place/map-grid';
import { gridMetresOf } from '../../place/paper';
import { positionAt } from '../../place/geodesic';
import { bearingDegrees, type BearingReading } from '../../readings/bearing';
import type { Position } from '../../readings/position';
import { normalised } from '../../units/angle';
import type { Bearing } from '../../units/bearing';
import { polar, sumOf } from '../../units/plane';
import { fail, ok, type Result } from '../../units/result';
import type { Header } from '../../model/header';
import { nth } from '../../units/nth';

/** What can't be used of a route: by the number of its point, or null for its head. */
export interface RouteFault {
  readonly fault: Fault;
  readonly point: number | null;
}

/** The header of an outing that begins at a place of the route. */
export const headerAt = (route: Route, name: string, position: Position): Header => ({
  name: route.name,
  start: { name, position },
  declination: route.declination,
  show: route.show,
  convergence: route.convergence ?? { source: 'model' },
  ...(route.date && { date: route.date }),
  ...(route.correction && { correction: route.correction }),
  ...(route.errors && { errors: route.errors }),
});

/** The grid of the route's map at a place; a typed convergence has no grid but UTM's lengths. */
export const gridOfRoute = ({ convergence }: Route, near: Position): Result<MapGrid, Fault> =>
  mapGrid(near, convergence?.source === 'projection' ? convergence.definition : undefined);

/** The norths of a route at a place. */
export function northsAt(
  route: Route,
  position: Position,
  models: EarthModels | null,
): Result<OutingNorths, Fault> {
  const norths = outingNorths(headerAt(route, 'here', position), models, position);
  return norths.ok ? norths : fail(norths.fault.fault);
}

/**
 * A bearing on paper from the grid, or from true north where the grid isn't known; null for a
 * magnetic one without a declination.
 */
function paperBearing(
  { convergence }: Route,
  from: Position,
  reading: BearingReading,
  norths: OutingNorths,
  models: EarthModels | null,
  isOffGrid: boolean,
): Bearing | null {
  const read = { degrees: bearingDegrees(reading), north: reading.north };
  const found = converted(read, isOffGrid ? 'true' : 'grid', norths);
  // Without a declination the two norths of the map are still known from each other.
  if (found || read.north !== 'true') return found;
  const definition = convergence?.source === 'projection' ? convergence.definition : undefined;
  const east = models?.convergence(from, definition);
  return east?.ok ? { degrees: normalised(read.degrees - east.value), north: 'grid' } : null;
}

/** Where a measure on paper ends: along the grid, from where the point before is. */
function paperEnd(
  route: Route,
  from: Position,
  index: number,
  models: EarthModels | null,
): Result<Position, Fault> {
  const { paper } = nth(route.points, index);
  if (!paper) throw new RangeError(`point ${index} is not measured on paper`);
  const norths = northsAt(route, from, models);
  if (!norths.ok) return norths;
  const isOffGrid = route.convergence?.source === 'typed' || norths.value.gridIsMagnetic === true;
  const bearing = paperBearing(route, from, paper.bearing, norths.value, models, isOffGrid);
  if (!bearing) return fail({ code: 'no-declination', north: 'grid' });
  // A sheet whose grid isn't known by its projection is taken for square to true north.
  if (isOffGrid) return ok(positionAt(from, polar(bearing.degrees, gridMetresOf(paper))));
  const grid = gridOfRoute(route, from);
  if (!grid.ok) return grid;
  const { forward, inverse } = grid.value;
  try {
    const end = sumOf(forward(from), polar(bearing.degrees, gridMetresOf(paper)));
    return ok(inverse(end));
  } catch {
    return fail({ code: 'no-grid-there' });
  }
}

/** Where the points of a route are; fails with the first that can't be placed. */
export function routePositions(
  route: Route,
  models: EarthModels | null,
): Result<Position[], RouteFault> {
  const positions: Position[] = [];
  for (const [index, point] of route.points.entries()) {
    if (point.position) {
      positions.push(point.position);
      continue;
    }
    const end = paperEnd(route, nth(positions, index - 1), index, models);
    if (!end.ok) return fail({ fault: end.fault, point: index });
    positions.push(end.value);
  }
  return ok(positions);
}
