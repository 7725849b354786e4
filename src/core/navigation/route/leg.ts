import { NO_COVARIANCE } from '../../errors/covariance';
import { detectionChance } from '../../errors/detection';
import { ellipse, type Ellipse } from '../../errors/ellipse';
import type { Fault } from '../../faults/fault';
import { DEFAULT_ERRORS, withSigmas } from '../../model/error-settings';
import type { PlannedLeg, Route, Tick } from '../../model/route';
import { conversionSum, type ConversionSum } from '../../north/conversion-sum';
import type { EarthModels } from '../../north/earth-models';
import type { OutingNorths } from '../../north/outing-norths';
import {
  referenceNorth,
  shownNorth,
  towardReference,
  type BearingFromEach,
} from '../../north/norths';
import { planePointOf } from '../../place/geodesic';
import { bearingDegrees } from '../../readings/bearing';
import type { Position } from '../../readings/position';
import { homeMeans } from '../../survey/home-means';
import { initialState, setPace } from '../../survey/log-state';
import type { Places } from '../../survey/places';
import { nearestCompassPoint, normalised, type CompassPoint } from '../../units/angle';
import type { Bearing, North } from '../../units/bearing';
import { azimuthOf, lengthOf, ORIGIN, vectorBetween, type PlanePoint } from '../../units/plane';
import { ok, type Result } from '../../units/result';
import type { Degrees, Metres } from '../../units/units';
import { positionError } from '../position-error';
import type { WalkBasis } from '../walk-errors';
import { aimOff, detectionAlongLine, type AimOff, type AimOffFault } from '../ways/aim-off';
import { speedOn } from '../ways/ground-speeds';
import { NAISMITH_KMH } from '../ways/walk-time';
import { gridOfRoute, northsAt } from './points';
import { legMinutes } from './timing';
import { nth } from '../../units/nth';

/** A point is seen from so far, where the route doesn't say. Common practice, no source. */
const USUAL_SIGHT_METRES = 50;

/** A tick on its leg, with the paces until it. */
export interface PlannedTick extends Tick {
  readonly paces: number | null;
  /** Minutes after the start of the route. */
  readonly minutesFromStart: number;
}

/** Where a leg is aimed to one side of its point: how to walk it, or why it can't be. */
export type PlannedAim =
  | {
      readonly ok: true;
      readonly aim: AimOff;
      readonly set: Bearing | null;
      readonly along: Bearing;
    }
  | { readonly ok: false; readonly fault: AimOffFault };

/** A leg of a route card: all that follows from two points of a map. */
export interface RouteLeg {
  /** From 1; it leads to the point of this index. */
  readonly number: number;
  readonly from: string;
  readonly to: string;
  readonly plan: PlannedLeg;
  /** The point is an attack point for the one after it. */
  readonly isAttack: boolean;
  /** From each north, at the beginning of the leg; magnetic is null without a declination. */
  readonly bearing: BearingFromEach;
  /**
   * What the compass is set to by the declination method of the route, aiming off where that is
   * planned; null without one.
   */
  readonly set: Bearing | null;
  /** The same straight to the point. */
  readonly direct: Bearing | null;
  /** The sum from grid to magnetic, as a person does it. */
  readonly gridToMagnetic: ConversionSum | null;
  /** On the ground, and on the grid of the map. */
  readonly metres: Metres;
  readonly gridMetres: Metres;
  readonly compassPoint: CompassPoint;
  readonly paces: number | null;
  readonly upMetres: Metres;
  readonly downMetres: Metres;
  readonly minutes: number;
  /** Minutes and metres from the start of the route to the end of the leg. */
  readonly minutesFromStart: number;
  readonly metresFromStart: Metres;
  /** Where the walk ends, 95 %, from the point before. */
  readonly ellipse: Ellipse;
  /** The same from the start of the route, where no point on the way was recognised. */
  readonly ellipseFromStart: Ellipse;
  /** Chance that the point is in sight where the walk ends, or along the line aimed at. */
  readonly chance: number;
  readonly aim: PlannedAim | null;
  readonly ticks: readonly PlannedTick[];
  /** Metres from the beginning of the leg at which one meets the catching feature. */
  readonly catchingMetres: Metres | null;
}

/** A leg as it is planned: its two places without an error, and how it will be walked. */
interface PlannedWalk extends WalkBasis {
  readonly norths: OutingNorths;
  /** The north that bearings are shown from. */
  readonly show: North;
}

/** From a place of the map to another, by the compass and the paces of the route on its ground. */
function walkOf(
  route: Route,
  from: Position,
  vector: PlanePoint,
  ground: string | undefined,
  models: EarthModels | null,
): Result<PlannedWalk, Fault> {
  const found = northsAt(route, from, models);
  if (!found.ok) return found;
  const norths = found.value;
  const at = (station: number) => (station === 0 ? ORIGIN : vector);
  const places: Places = {
    frame: { north: referenceNorth(norths), norths, unit: 'metre', origin: from },
    stations: () => [0, 1],
    at,
    relative: (one, other) => ({
      ...vectorBetween(at(one), at(other)),
      covariance: NO_COVARIANCE,
      shared: [],
    }),
  };
  const end = initialState(norths, route.paces);
  for (const pace of route.paces) setPace(end, pace);
  if (ground !== undefined) end.home = { ground };
  const errors = withSigmas(DEFAULT_ERRORS, route.errors?.sigmas);
  return ok({ norths, show: route.show.north, places, end, errors });
}

/** The bearing from each north: true by the geodesic, grid as the map shows it. */
function bearingsOf(
  walk: PlannedWalk,
  trueDegrees: Degrees,
  gridDegrees: Degrees | null,
): BearingFromEach {
  const { norths } = walk;
  const { declinationEast, gridIsMagnetic, convergenceEast } = norths;
  const magnetic = declinationEast === null ? null : normalised(trueDegrees - declinationEast);
  const grid = gridIsMagnetic
    ? magnetic
    : (gridDegrees ?? normalised(trueDegrees - convergenceEast));
  // Anyone who ignores the declination walks the map's bearing by the compass.
  return { true: trueDegrees, grid, magnetic: norths.mapReadAsMagnetic ? grid : magnetic };
}

/** The bearing to set by the method of the route. */
function setBearing({ norths, show }: PlannedWalk, bearing: BearingFromEach): Bearing | null {
  const north = shownNorth(show, norths);
  const degrees = bearing[north] ?? bearing.magnetic;
  return degrees === null ? null : { degrees, north: bearing[north] === null ? 'magnetic' : north };
}

/** A direction of the frame as what is set on the compass. */
function setAlong(walk: PlannedWalk, azimuth: Degrees, bearing: BearingFromEach): Bearing | null {
  const set = setBearing(walk, bearing);
  if (!set || bearing.true === null) return null;
  return { ...set, degrees: normalised(set.degrees + (azimuth - bearing.true)) };
}

function plannedAim(
  walk: PlannedWalk,
  plan: PlannedLeg,
  bearing: BearingFromEach,
  sight: Metres,
): { aim: PlannedAim; chance: number } | null {
  if (!plan.aimOff) return null;
  const { line, side } = plan.aimOff;
  const offset = towardReference(line.north, walk.norths) ?? 0;
  const found = aimOff(walk, 0, 1, normalised(bearingDegrees(line) + offset), side);
  if (!found.ok) return { aim: { ok: false, fault: found.fault }, chance: 0 };
  const aim = found.value;
  const along = setAlong(walk, aim.lineDegrees, bearing) ?? {
    degrees: aim.lineDegrees,
    north: 'true' as const,
  };
  const set = setAlong(walk, aim.bearingDegrees, bearing);
  return {
    aim: { ok: true, aim, set, along },
    chance: detectionAlongLine(walk, 0, 1, aim, sight),
  };
}

/** A leg by itself, without what comes before it, and the walk that it was asked from. */
export interface LegAlone extends Omit<
  RouteLeg,
  'minutesFromStart' | 'metresFromStart' | 'ellipseFromStart' | 'ticks'
> {
  readonly walk: WalkBasis;
  readonly vector: PlanePoint;
}

/** The leg between two places of a route. */
export function routeLeg(
  route: Route,
  index: number,
  [from, to]: readonly [Position, Position],
  models: EarthModels | null,
): Result<LegAlone, Fault> {
  const point = nth(route.points, index);
  const plan = point.leg ?? {};
  const vector = planePointOf(from, to);
  const walked = walkOf(route, from, vector, plan.ground, models);
  if (!walked.ok) return walked;
  const walk = walked.value;
  const grid = gridBetween(route, from, to);
  const trueDegrees = azimuthOf(vector);
  const bearing = bearingsOf(walk, trueDegrees, grid && grid.degrees);
  const metres = lengthOf(vector);
  const { paceMetres } = homeMeans(walk.end);
  const [up, down] = [plan.upMetres ?? 0, plan.downMetres ?? 0];
  const timing = route.timing ?? 'naismith';
  // A person's own speed is that on open ground: rough ground slows it alike.
  const base = route.kilometresPerHour ?? NAISMITH_KMH;
  const speed = (base * speedOn(plan.ground)) / NAISMITH_KMH;
  const error = positionError(walk, 0, 1);
  const sight = route.sightMetres ?? USUAL_SIGHT_METRES;
  const aimed = metres > 0 ? plannedAim(walk, plan, bearing, sight) : null;
  return ok({
    walk,
    vector,
    number: index,
    from: nth(route.points, index - 1).name,
    to: point.name,
    plan,
    isAttack: point.isAttack === true,
    bearing,
    set: (aimed?.aim.ok ? aimed.aim.set : null) ?? setBearing(walk, bearing),
    direct: setBearing(walk, bearing),
    gridToMagnetic: gridSum(walk, bearing),
    metres,
    gridMetres: grid?.metres ?? metres,
    compassPoint: nearestCompassPoint(trueDegrees),
    paces: paceMetres === null ? null : metres / paceMetres,
    upMetres: up,
    downMetres: down,
    minutes: legMinutes(timing, speed, metres, up, down),
    ellipse: ellipse(error),
    chance: aimed?.aim.ok ? aimed.chance : detectionChance(error, sight),
    aim: aimed?.aim ?? null,
    catchingMetres: plan.catching ? metres + plan.catching.beyondMetres : null,
  });
}

/** Bearing and length on the grid of the map; null beyond it, or where only its angle is known. */
function gridBetween(
  route: Route,
  from: Position,
  to: Position,
): { degrees: Degrees; metres: Metres } | null {
  if (route.convergence?.source === 'typed') return null;
  const grid = gridOfRoute(route, from);
  if (!grid.ok) return null;
  try {
    const { forward } = grid.value;
    const vector = vectorBetween(forward(from), forward(to));
    return { degrees: azimuthOf(vector), metres: lengthOf(vector) };
  } catch {
    return null;
  }
}

const gridSum = (walk: PlannedWalk, { grid }: BearingFromEach): ConversionSum | null =>
  grid === null ? null : conversionSum({ degrees: grid, north: 'grid' }, 'magnetic', walk.norths);

/** The ticks of a leg, in the order in which they are passed. */
export const plannedTicks = (
  { plan, metres, paces, minutes }: Pick<RouteLeg, 'plan' | 'metres' | 'paces' | 'minutes'>,
  minutesBefore: number,
): PlannedTick[] =>
  [...(plan.ticks ?? [])]
    .sort((one, other) => one.metres - other.metres)
    .map((tick) => ({
      ...tick,
      paces: paces === null || metres === 0 ? null : (paces * tick.metres) / metres,
      minutesFromStart: minutesBefore + (metres === 0 ? 0 : (minutes * tick.metres) / metres),
    }));
