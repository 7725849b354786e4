import { NO_COVARIANCE, sumCovariance } from '../../errors/covariance';
import { ellipse } from '../../errors/ellipse';
import { joinedSums } from '../../errors/shared-errors';
import type { Route } from '../../model/route';
import type { EarthModels } from '../../north/earth-models';
import { gridOfRoute, northsAt, routePositions, type RouteFault } from './points';
import type { OutingNorths } from '../../north/outing-norths';
import { nationalGridOf } from '../../place/national-grids';
import type { Position } from '../../readings/position';
import { fail, ok, type Result } from '../../units/result';
import type { Metres } from '../../units/units';
import { totalOf, walkErrors, type WalkErrors } from '../walk-errors';
import { plannedTicks, routeLeg, type LegAlone, type RouteLeg } from './leg';

/** All that follows from a route: what every screen, export and endpoint reads. */
export interface Plan {
  readonly route: Route;
  /** Of each point; no legs without a second one. */
  readonly positions: readonly Position[];
  readonly legs: readonly RouteLeg[];
  /** At the first point; null where there is none. */
  readonly norths: OutingNorths | null;
  readonly metres: Metres;
  readonly minutes: number;
  readonly upMetres: Metres;
  readonly downMetres: Metres;
}

const NO_ERRORS: WalkErrors = { covariance: NO_COVARIANCE, shared: [] };

/** The errors of one walk after another; what they share adds up. */
const joined = (one: WalkErrors, other: WalkErrors): WalkErrors => ({
  covariance: sumCovariance(one.covariance, other.covariance),
  shared: joinedSums(one.shared, other.shared, 1),
});

/** The legs one after another, each with what has been walked until its end. */
class LegChain {
  readonly legs: RouteLeg[] = [];
  minutes = 0;
  metres = 0;
  upMetres = 0;
  downMetres = 0;
  private errors = NO_ERRORS;

  add({ walk, vector, ...leg }: LegAlone): void {
    this.errors = joined(this.errors, walkErrors(walk, [vector]));
    const ticks = plannedTicks(leg, this.minutes);
    this.minutes += leg.minutes;
    this.metres += leg.metres;
    this.upMetres += leg.upMetres;
    this.downMetres += leg.downMetres;
    this.legs.push({
      ...leg,
      ticks,
      minutesFromStart: this.minutes,
      metresFromStart: this.metres,
      ellipseFromStart: ellipse(totalOf(this.errors)),
    });
  }
}

/**
 * The plan of a route. Pure: the same route and models give the same plan. Fails with the first
 * point that can't be placed, or where a declination that it asks for can't be had.
 */
export function planOf(route: Route, models: EarthModels | null): Result<Plan, RouteFault> {
  const positions = routePositions(route, models);
  if (!positions.ok) return positions;
  const [first] = positions.value;
  const norths = first ? northsAt(route, first, models) : null;
  if (norths && !norths.ok) return fail({ fault: norths.fault, point: null });
  const chain = new LegChain();
  for (const [index, to] of positions.value.entries()) {
    const from = positions.value[index - 1];
    if (!from) continue;
    const leg = routeLeg(route, index, [from, to], models);
    if (!leg.ok) return fail({ fault: leg.fault, point: index });
    chain.add(leg.value);
  }
  const { legs, minutes, metres, upMetres, downMetres } = chain;
  const about = { minutes, metres, upMetres, downMetres };
  return ok({
    route,
    positions: positions.value,
    legs,
    norths: norths?.value ?? null,
    ...about,
  });
}

/**
 * From this share on the scale of the map’s grid is shown: its metres are not the ground’s.
 */
const LEAST_SCALE_SHOWN = 0.001;

/** Metres on the map's grid for one on the ground, over all legs; null where it doesn't matter. */
export function shownScale({ legs }: Plan): number | null {
  const ground = legs.reduce((sum, leg) => sum + leg.metres, 0);
  const grid = legs.reduce((sum, leg) => sum + leg.gridMetres, 0);
  if (ground === 0 || Math.abs(grid / ground - 1) < LEAST_SCALE_SHOWN) return null;
  return grid / ground;
}

/** The zone of the UTM grid, or the projection, that a plan's grid bearings are from. */
export function gridName({ route, positions }: Plan): string | null {
  const [first] = positions;
  if (!first || route.convergence?.source === 'typed') return null;
  const grid = gridOfRoute(route, first);
  if (!grid.ok) return null;
  const { definition } = grid.value;
  const national = nationalGridOf(definition);
  if (national) return national.name;
  const zone = /\+proj=utm \+zone=(\d+)( \+south)?/.exec(definition);
  return zone ? `UTM zone ${zone[1]} ${zone[2] ? 'south' : 'north'}` : definition;
}
