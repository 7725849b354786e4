import type { PlanePoint } from '../../units/plane';
import { equationsOf, type Observation } from './index';
import type { Equation, LogStation, Mark, StationCovariance } from './observation';
import { nth } from '../../units/nth';

/**
 * The equations of all that was read, and how their errors hang together.
 *
 * | symbol | meaning                                           | equation                      |
 * | w      | read less predicted: radians, or metres           | of each kind                  |
 * | g      | how the prediction changes as the place moves     | of each kind                  |
 * | h      | how w changes as its station of the log moves     | -g where it was read there,   |
 * |        |                                                   | g where the station is sighted|
 * | s_k    | one sigma of shared error k, in w                 | σ_k·(share + h·J_k)           |
 * | Q_ij   | covariance of two equations                       | own + h_i'·C_ij·h_j           |
 * |        | (C: of the stations; m: of one mark)              | + σ_m²·g_i·g_j + Σ s_ik·s_jk  |
 */
export interface Row {
  /** Which observation it comes from. */
  readonly observation: number;
  readonly w: number;
  readonly g: PlanePoint;
  readonly own: number;
  readonly mark: Mark | null;
  readonly station: { readonly of: LogStation; readonly h: PlanePoint } | null;
  readonly shared: ReadonlyMap<string, number>;
  /** What one radian of an error of the compass at this place adds to it. */
  readonly compassHere: number;
}

const dot = (a: PlanePoint, b: PlanePoint) => a.east * b.east + a.north * b.north;

/** The station of the log that an equation hangs on: where it was read, or that was sighted. */
function stationOf({ from, mark, g }: Equation): Row['station'] {
  if (from) return { of: from, h: { east: -g.east, north: -g.north } };
  return mark?.station ? { of: mark.station, h: g } : null;
}

/** The shared errors of an equation, in its unit: of its reading, and of its station. */
function sharedOf({ shared = [] }: Equation, station: Row['station']): Map<string, number> {
  const found = new Map<string, number>();
  for (const { error, share } of shared) {
    found.set(error.key, (found.get(error.key) ?? 0) + error.sigma * share);
  }
  if (!station) return found;
  for (const { error, by } of station.of.effects) {
    found.set(error.key, (found.get(error.key) ?? 0) + error.sigma * dot(station.h, by));
  }
  return found;
}

/** The equations of an observation for a traveller at a place: two for standing somewhere. */
export const rowsOf = (each: Observation, observation: number, place: PlanePoint): Row[] =>
  equationsOf(each, place).map((equation) => {
    const { w, g, own, mark = null, compassHere = 0 } = equation;
    const station = stationOf(equation);
    const shared = sharedOf(equation, station);
    return { observation, w, g, own, mark, station, shared, compassHere };
  });

/** What a place on a map is exact to at best, one sigma: keeps the equations solvable. */
const LEAST_SIGMA_METRES = 0.1;

/** The covariance of rows; `compassHere` is the variance of the compass's error at this place. */
export function covarianceOf(
  rows: readonly Row[],
  stations: StationCovariance,
  compassHere: number,
): number[][] {
  const found = rows.map(() => new Array<number>(rows.length).fill(0));
  for (const [i, one] of rows.entries()) {
    for (const [j, other] of rows.slice(0, i + 1).entries()) {
      const value = together(one, other, stations, compassHere);
      nth(found, i)[j] = nth(found, j)[i] = value;
    }
  }
  return found;
}

function together(one: Row, other: Row, stations: StationCovariance, compassHere: number): number {
  let sum = one === other ? one.own : 0;
  if (one.mark !== null && one.mark === other.mark && !one.mark.station) {
    sum += Math.max(LEAST_SIGMA_METRES, one.mark.sigmaMetres) ** 2 * dot(one.g, other.g);
  }
  if (one.station && other.station) {
    const { xx, xy, yy } = stations(one.station.of, other.station.of);
    const [a, b] = [one.station.h, other.station.h];
    sum += a.east * b.east * xx + a.north * b.north * yy;
    sum += (a.east * b.north + a.north * b.east) * xy;
  }
  for (const [key, effect] of one.shared) sum += effect * (other.shared.get(key) ?? 0);
  return sum + one.compassHere * other.compassHere * compassHere;
}
