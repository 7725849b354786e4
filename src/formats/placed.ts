import { besideLeg } from '../core/beside-leg';
import type { EarthModels } from '../core/earth-models';
import { missAtHome, way } from '../core/home';
import { landmarks } from '../core/landmarks';
import type { Leg, Logbook, Outing, Position, Thing } from '../core/logbook';
import { positionAt, positionOf } from '../core/positions';
import { fail, ok, type Result } from '../core/result';
import { solve, stationName, stationPoints, type Solution } from '../core/solve';
import type { Metres } from '../core/units';
import { fileFault, type FileFault } from './format';

/** Something of an outing that has a name and a place on the earth. */
interface PlacedPoint {
  readonly kind: 'station' | 'thing' | 'landmark';
  readonly name: string;
  readonly position: Position;
  readonly note?: string;
  readonly thing?: Thing;
  /** 95 %, for landmarks. */
  readonly withinMetres?: Metres;
}

interface PlacedLeg {
  readonly number: number;
  readonly from: string;
  readonly to: string;
  /** Which leg left from where: legs that go on from one another make a line. */
  readonly goesOn: boolean;
  readonly ends: readonly [Position, Position];
  readonly metres: Metres;
  readonly trueDegrees: number;
  readonly entry: Leg;
}

/** An outing laid on the earth: what every map format writes. */
export interface PlacedOuting {
  readonly outing: Outing;
  readonly solution: Solution;
  readonly points: readonly PlacedPoint[];
  readonly legs: readonly PlacedLeg[];
  /** Null when one is at the start. */
  readonly home: {
    readonly ends: readonly [Position, Position];
    readonly from: string;
    readonly to: string;
    readonly metres: Metres;
    readonly trueDegrees: number;
    readonly withinMetres: Metres;
  } | null;
}

/** Why an outing can't be laid on the earth, in words for the person. */
export type Unplaced = 'no-position' | 'no-true-north' | 'unsolved';
const WHY: Readonly<Record<Unplaced, string>> = {
  'no-position': 'its start has no position',
  'no-true-north': 'no declination is set, and so true north is not known',
  unsolved: 'it can’t be worked out',
};
export const unplacedWords = (outing: Outing, why: Unplaced): string =>
  `“${outing.name || 'Outing'}” can’t be put on a map: ${WHY[why]}. A log, a table or a sketch needs neither.`;

/** What was worked out of an outing, for the other map formats of the same archive; outings are never changed in place. */
const kept = new WeakMap<
  Outing,
  { models: EarthModels | null; laid: Result<PlacedOuting, Unplaced> }
>();

/** Lays an outing on the earth; a name that stood for a station twice keeps the place of its first visit. */
export function placed(outing: Outing, models: EarthModels | null): Result<PlacedOuting, Unplaced> {
  const found = kept.get(outing);
  if (found?.models === models) return found.laid;
  const laid = lay(outing, models);
  kept.set(outing, { models, laid });
  return laid;
}

function lay(outing: Outing, models: EarthModels | null): Result<PlacedOuting, Unplaced> {
  if (!outing.start.position) return fail('no-position');
  const solved = solve(outing, models);
  if (!solved.ok) return fail('unsolved');
  const solution = solved.value;
  if (solution.working !== 'true') return fail('no-true-north');
  const positions = Array.from({ length: solution.traverse.legs + 1 }, (_, point) =>
    positionOf(solution, point)!,
  );
  const at = (point: number) => positions[point]!;
  const legs = legsOf(solution, at);
  const points: PlacedPoint[] = stationPoints(solution).map((point) => ({
    kind: 'station',
    name: stationName(solution, point),
    position: at(point),
    note: point === 0 ? outing.start.note : legs[point - 1]?.entry.note,
  }));
  points.push(...thingsOf(solution));
  const straight = way(solution, solution.current, 0);
  const home = {
    ends: [at(solution.current), at(0)] as const,
    from: stationName(solution, solution.current),
    to: stationName(solution, 0),
    metres: straight.distanceMetres,
    trueDegrees: straight.bearing.true!,
    withinMetres: missAtHome(solution, solution.current, 0).semiMajorMetres,
  };
  return ok({ outing, solution, points, legs, home: solution.current === 0 ? null : home });
}

function legsOf(solution: Solution, at: (point: number) => Position): PlacedLeg[] {
  const { traverse, outing, entryOfLeg, stationOfLeg } = solution;
  return Array.from({ length: traverse.legs }, (_, index) => {
    const leg = index + 1;
    const origin = traverse.from[leg]!;
    return {
      number: leg,
      from: stationName(solution, origin),
      to: stationName(solution, stationOfLeg[leg]!),
      goesOn: leg > 1 && origin === index,
      ends: [at(origin), at(leg)],
      metres: traverse.lengthMetres[leg]!,
      trueDegrees: traverse.bearingDegrees[leg]!,
      entry: outing.entries[entryOfLeg[leg]!] as Leg,
    };
  });
}

function thingsOf(solution: Solution): PlacedPoint[] {
  const things: PlacedPoint[] = [];
  let leg = 0;
  for (const entry of solution.outing.entries) {
    if (entry.kind === 'leg') leg++;
    if (entry.kind !== 'at' || leg === 0) continue;
    const position = positionAt(solution, besideLeg(solution, leg, entry))!;
    things.push({ kind: 'thing', name: entry.what, position, thing: entry.thing });
  }
  for (const { name, thing, place } of landmarks(solution)) {
    if (!place) continue;
    const withinMetres = place.doubt.semiMajorMetres;
    const position = positionAt(solution, place)!;
    things.push({ kind: 'landmark', name, thing, position, withinMetres });
  }
  return things;
}

/** The outings of a logbook that can be laid on the earth. Fails, with why for each, when none can. */
export function placedOutings(
  logbook: Logbook,
  models: EarthModels | null,
): Result<PlacedOuting[], FileFault[]> {
  const found: PlacedOuting[] = [];
  const faults: FileFault[] = [];
  logbook.outings.forEach((outing, index) => {
    const laid = placed(outing, models);
    if (laid.ok) found.push(laid.value);
    else faults.push(fileFault(unplacedWords(outing, laid.fault), { path: `outings[${index}]` }));
  });
  return found.length > 0 || faults.length === 0 ? ok(found) : fail(faults);
}
