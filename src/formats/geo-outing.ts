import { surveyTools } from '../core/survey/adjusted/survey-tools';
import type { Leg } from '../core/entries/entry';
import type { Logbook } from '../core/model/logbook';
import { placeOf, type Outing } from '../core/model/outing';
import { positionErrorEllipse } from '../core/navigation/position-error';
import { wayHome } from '../core/navigation/ways/way';
import type { EarthModels } from '../core/north/earth-models';
import { positionAt } from '../core/place/geodesic';
import type { FeatureKind } from '../core/entries/feature';
import type { Position } from '../core/readings/position';
import { besideLeg } from '../core/survey/beside-leg';
import { landmarkPlaces } from '../core/survey/landmarks';
import { walkLog } from '../core/survey/log-walk';
import { solve } from '../core/survey/solve';
import { stationName, type Solution } from '../core/survey/solution';
import type { PlanePoint } from '../core/units/plane';
import { fail, ok, type Result } from '../core/units/result';
import type { Metres } from '../core/units/units';
import { fileFault, type FileFault } from './format';

/** Something of an outing that has a name and a position. */
interface GeoPoint {
  readonly kind: 'station' | 'thing' | 'landmark';
  readonly name: string;
  readonly position: Position;
  readonly note?: string;
  readonly thing?: FeatureKind;
  /** 95 %, for landmarks. */
  readonly withinMetres?: Metres;
}

interface GeoLeg {
  readonly number: number;
  readonly from: string;
  readonly to: string;
  /** True when it leaves from where the leg before it ended: such legs make a line. */
  readonly goesOn: boolean;
  readonly ends: readonly [Position, Position];
  readonly metres: Metres;
  readonly trueDegrees: number;
  readonly entry: Leg;
}

interface GeoWayHome {
  readonly ends: readonly [Position, Position];
  readonly from: string;
  readonly to: string;
  readonly metres: Metres;
  readonly trueDegrees: number;
  readonly withinMetres: Metres;
}

/** An outing on the earth: what every map format writes. */
export interface GeoOuting {
  readonly outing: Outing;
  readonly points: readonly GeoPoint[];
  readonly legs: readonly GeoLeg[];
  /** Null at the start. */
  readonly home: GeoWayHome | null;
}

/** Why an outing can't be put on a map. */
export type Unplaced = 'no-position' | 'no-true-north' | 'no-pace' | 'unsolved';
const WHY: Readonly<Record<Unplaced, string>> = {
  'no-position': 'its start has no position',
  'no-true-north': 'no declination is set, so true north isn’t known',
  'no-pace': 'its lengths are in paces, and no length of a pace is given',
  unsolved: 'it has an error',
};
export const unplacedMessage = ({ name }: Outing, why: Unplaced): string =>
  `“${name || 'Outing'}” can’t be put on a map: ${WHY[why]}. ` +
  'A log, a table or a sketch needs none of these.';

/** Computed already, for the other map formats of the same archive: outings never change. */
const cache = new WeakMap<
  Outing,
  { models: EarthModels | null; found: Result<GeoOuting, Unplaced> }
>();

/** An outing on the earth. A station that was reached twice keeps the place of its first visit. */
export function geoOuting(outing: Outing, models: EarthModels | null): Result<GeoOuting, Unplaced> {
  const cached = cache.get(outing);
  if (cached?.models === models) return cached.found;
  const found = geoOutingOf(outing, models);
  cache.set(outing, { models, found });
  return found;
}

function geoOutingOf(outing: Outing, models: EarthModels | null): Result<GeoOuting, Unplaced> {
  if (!placeOf(outing)) return fail('no-position');
  const solved = solve(outing, models, { tools: surveyTools });
  if (!solved.ok) return fail('unsolved');
  const solution = solved.value;
  const { origin } = solution.places.frame;
  if (solution.places.frame.unit === 'pace') return fail('no-pace');
  // Known places that don't make a fix give no position either.
  if (!origin)
    return fail(solution.places.frame.north === 'true' ? 'no-position' : 'no-true-north');
  const position = remembered((point) => positionAt(origin, point));
  return ok({
    outing,
    points: [...stationsOf(solution, position), ...featuresOf(solution, position)],
    legs: legsOf(solution, position),
    home: solution.current === 0 ? null : homeOf(solution, position),
  });
}

type ToPosition = (point: PlanePoint) => Position;

/** A station is asked for by its legs and by itself: each geodesic is computed once. */
function remembered(position: ToPosition): ToPosition {
  const known = new Map<string, Position>();
  return (point) => {
    const key = `${point.east} ${point.north}`;
    const found = known.get(key) ?? position(point);
    known.set(key, found);
    return found;
  };
}

const stationsOf = (solution: Solution, position: ToPosition): GeoPoint[] =>
  solution.places.stations().map((station) => {
    const { note } = station === 0 ? solution.outing.start : solution.legs.leg(station).reading;
    return {
      kind: 'station',
      name: stationName(solution, station),
      position: position(solution.places.at(station)),
      ...(note === undefined ? {} : { note }),
    };
  });

const legsOf = (solution: Solution, position: ToPosition): GeoLeg[] =>
  Array.from(solution.legs, (leg) => ({
    number: leg.number,
    from: stationName(solution, leg.from),
    to: stationName(solution, leg.to),
    goesOn: leg.number > 1 && leg.from === leg.number - 1,
    ends: [position(leg.start), position(leg.end)],
    metres: leg.metres,
    trueDegrees: leg.bearingDegrees,
    entry: leg.reading,
  }));

function featuresOf(solution: Solution, position: ToPosition): GeoPoint[] {
  const features: GeoPoint[] = [];
  for (const { entry, leg } of walkLog(solution)) {
    if (entry.kind !== 'at' || !leg) continue;
    const { what: name, thing } = entry;
    features.push({ kind: 'thing', name, position: position(besideLeg(leg, entry)), thing });
  }
  for (const { name, kind: thing, place } of landmarkPlaces(solution)) {
    if (!place) continue;
    const withinMetres = place.uncertainty.semiMajorMetres;
    features.push({ kind: 'landmark', name, thing, position: position(place), withinMetres });
  }
  return features;
}

function homeOf(solution: Solution, position: ToPosition): GeoWayHome {
  const { places, current } = solution;
  const { distanceMetres, bearing } = wayHome(solution);
  return {
    ends: [position(places.at(current)), position(places.at(0))],
    from: stationName(solution, current),
    to: stationName(solution, 0),
    metres: distanceMetres,
    trueDegrees: bearing.true ?? NaN,
    withinMetres: positionErrorEllipse(solution, current, 0).semiMajorMetres,
  };
}

/** The outings of a logbook that have a place on the earth; fails, with why, when none has. */
export function geoOutings(
  logbook: Logbook,
  models: EarthModels | null,
): Result<GeoOuting[], FileFault[]> {
  const found: GeoOuting[] = [];
  const faults: FileFault[] = [];
  for (const [index, outing] of logbook.outings.entries()) {
    const geo = geoOuting(outing, models);
    if (geo.ok) found.push(geo.value);
    else faults.push(fileFault(unplacedMessage(outing, geo.fault), { path: `outings[${index}]` }));
  }
  return found.length > 0 || faults.length === 0 ? ok(found) : fail(faults);
}
