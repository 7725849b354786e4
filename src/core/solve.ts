import type { EarthModels } from './earth-models';
import type { Covariance } from './error-model';
import type { OutingFault } from './faults';
import { addBox, applySetting, bearingFault, fillRow, topOfPage, type PageState } from './leg-row';
import type { Leg, Outing } from './logbook';
import { workingNorth, type North } from './north';
import { northsOf, type NorthsOfOuting } from './norths-of';
import { fail, ok, type Result } from './result';
import { Stations } from './stations';
import { nearestName } from './suggest';
import { emptyTraverse, workOut, type Traverse } from './traverse';
import type { Metres } from './units';

/** A leg that came back to a station that already stood: where it ended, less the station. */
interface Closure {
  readonly entry: number;
  readonly leg: number;
  readonly station: string;
  readonly dxMetres: Metres;
  readonly dyMetres: Metres;
  readonly metres: Metres;
  /** The misclosure over all that was walked until then. */
  readonly ofWalked: number;
}

/** All that follows from an outing. Points are numbered by leg, 0 is the start. */
export interface Solution {
  readonly outing: Outing;
  readonly norths: NorthsOfOuting;
  readonly working: North;
  readonly traverse: Traverse;
  /** Row k: the entry that leg k stands in. Row 0 is -1. */
  readonly entryOfLeg: Int32Array;
  /** Row k: the station where leg k ended: k itself, or the station that it returned to. */
  readonly stationOfLeg: Int32Array;
  readonly closures: readonly Closure[];
  readonly stations: Stations;
  readonly walkedMetres: Metres;
  /** The station where the traveller is: where the next leg leaves from. */
  readonly current: number;
  /** What the lines have set by the end of the page. */
  readonly end: Readonly<PageState>;
}

/**
 * The one door between an outing and everything shown of it. Pure: the same outing and models give the
 * same solution; the outing is not changed. Fails with the first line that can't be worked out.
 */
export function solve(
  outing: Outing,
  models: EarthModels | null = null,
): Result<Solution, OutingFault> {
  const norths = northsOf(outing, models);
  if (!norths.ok) {
    return fail({ fault: norths.fault.fault, at: { header: norths.fault.header } });
  }
  const { entries } = outing;
  const state = topOfPage(norths.value);
  const stations = new Stations(outing.start.name);
  const traverse = emptyTraverse(entries.length);
  const { from } = traverse;
  const entryOfLeg = new Int32Array(entries.length + 1).fill(-1);
  const stationOfLeg = new Int32Array(entries.length + 1);
  const returns: number[] = [];
  let legs = 0;
  let current = 0;

  for (let i = 0; i < entries.length; i++) {
    const entry = entries[i]!;
    switch (entry.kind) {
      case 'leg': {
        const k = legs + 1;
        const wrong = fillRow(traverse, k, entry, state);
        if (wrong) return fail({ fault: wrong.fault, at: { entry: i, field: wrong.field } });
        from[k] = current;
        entryOfLeg[k] = i;
        if (entry.to === undefined) {
          const taken = stations.numberFault(k);
          if (taken) return fail({ fault: taken, at: { entry: i, field: 'whole' } });
          current = k;
        } else {
          current = arriveAt(stations, entry, k, returns);
        }
        stationOfLeg[k] = current;
        legs = k;
        break;
      }
      case 'from': {
        const point = stations.find(entry.station, legs);
        if (point === undefined) {
          const nearest = nearestName(entry.station, stations.names());
          const fault = { code: 'unknown-station', name: entry.station, nearest } as const;
          return fail({ fault, at: { entry: i, field: 'station' } });
        }
        current = point;
        break;
      }
      case 'at':
        if (legs === 0) {
          return fail({ fault: { code: 'no-leg-yet' }, at: { entry: i, field: 'whole' } });
        }
        break;
      case 'see': {
        const wrong = bearingFault(state, entry.bearing, 'bearing');
        if (wrong) return fail({ fault: wrong.fault, at: { entry: i, field: wrong.field } });
        break;
      }
      case 'box': {
        if (legs === 0) {
          return fail({ fault: { code: 'no-leg-yet' }, at: { entry: i, field: 'whole' } });
        }
        const wrong = addBox(traverse, legs, entry, state, groundOf(outing, entryOfLeg[legs]!));
        if (wrong) return fail({ fault: wrong.fault, at: { entry: i, field: wrong.field } });
        break;
      }
      case 'out': {
        const wrong = bearingFault(state, entry.bearing, 'bearing');
        if (wrong) return fail({ fault: wrong.fault, at: { entry: i, field: wrong.field } });
        break;
      }
      case 'read':
      case 'aim':
      case 'pace':
        applySetting(state, entry);
        break;
      default:
      // Landmarks, remarks and struck lines say nothing of the way.
    }
  }

  workOut(traverse, 1, legs);
  let walked = 0;
  const walkedBy = new Map<number, Metres>();
  let nextReturn = 0;
  for (let k = 1; k <= legs; k++) {
    walked += traverse.lengthMetres[k]!;
    if (returns[nextReturn] === k) {
      walkedBy.set(k, walked);
      nextReturn++;
    }
  }
  return ok({
    outing,
    norths: norths.value,
    working: workingNorth(norths.value),
    traverse: { ...traverse, legs },
    entryOfLeg,
    stationOfLeg,
    closures: returns.map((leg) =>
      closure(outing, traverse, entryOfLeg[leg]!, leg, stationOfLeg[leg]!, walkedBy.get(leg)!),
    ),
    stations,
    walkedMetres: walked,
    current,
    end: state,
  });
}

const groundOf = (outing: Outing, entry: number) => (outing.entries[entry] as Leg).ground;

/** Where leg k with a name ends: a station that stands, noted as a return, or a new one. */
function arriveAt(stations: Stations, leg: Leg, k: number, returns: number[]): number {
  const standing = stations.find(leg.to!, k - 1);
  if (standing === undefined) {
    stations.name(leg.to!, k);
    return k;
  }
  stations.returned(k);
  returns.push(k);
  return standing;
}

function closure(
  outing: Outing,
  traverse: Traverse,
  entry: number,
  leg: number,
  station: number,
  walked: Metres,
): Closure {
  const dxMetres = traverse.east[leg]! - traverse.east[station]!;
  const dyMetres = traverse.north[leg]! - traverse.north[station]!;
  const metres = Math.hypot(dxMetres, dyMetres);
  const name = (outing.entries[entry] as Leg).to!;
  return { entry, leg, station: name, dxMetres, dyMetres, metres, ofWalked: metres / walked };
}

/** What a station is called: its given name, or its leg's number. */
export function stationName(solution: Solution, station: number): string {
  if (station === 0) return solution.outing.start.name;
  const entry = solution.outing.entries[solution.entryOfLeg[station]!] as Leg;
  return entry.to ?? String(station);
}

/** The points that are stations, the start first. Legs that returned to a station make none. */
export function stationPoints(solution: Solution): number[] {
  const points = [0];
  for (let k = 1; k <= solution.traverse.legs; k++) {
    if (solution.stationOfLeg[k] === k) points.push(k);
  }
  return points;
}

/** Covariance of a station against the start, from the legs' random errors alone. */
export const covarianceAt = ({ traverse }: Solution, station: number): Covariance => ({
  xx: traverse.eastVariance[station]!,
  xy: traverse.covariance[station]!,
  yy: traverse.northVariance[station]!,
});
