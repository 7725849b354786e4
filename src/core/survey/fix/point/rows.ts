import type { SharedError } from '../../../errors/sources/source';
import { signedDifference } from '../../../units/angle';
import { lengthOf, sumOf, vectorBetween, ORIGIN, type PlanePoint } from '../../../units/plane';
import { degrees, radians } from '../../../units/units';
import type { Mark, Observation, ReadFrom, StationCovariance } from './observation';

/**
 * One equation of a fix: what was read, less what would be read from a place.
 *
 * | symbol | meaning                                           | equation                      |
 * | w      | read less predicted: radians, or metres           | b - atan2(K - P - o)          |
 * | g      | how the prediction changes as the traveller moves | (-Δn, Δe)/d² for a bearing    |
 * | s_k    | one sigma of shared error k, in w                 | σ_k·(share - g·J_k)           |
 * | Q_ij   | covariance of two equations                       | own + g_i'·C_ij·g_j           |
 * |        | (C: of the stations; m: of one mark)              | + σ_m²·g_i·g_j + Σ s_ik·s_jk  |
 */
export interface Row {
  /** Which observation it comes from. */
  readonly observation: number;
  readonly w: number;
  readonly g: PlanePoint;
  readonly own: number;
  readonly mark: Mark | null;
  readonly from: ReadFrom | null;
  readonly shared: ReadonlyMap<string, number>;
  /** What one radian of an error of the compass at this place adds to it. */
  readonly compassHere: number;
}

const dot = (a: PlanePoint, b: PlanePoint) => a.east * b.east + a.north * b.north;

/** The shared errors of a row, in its unit: of its reading, and of where that was taken. */
function sharedOf(
  own: readonly { readonly error: SharedError; readonly share: number }[],
  from: ReadFrom | null,
  g: PlanePoint,
): Map<string, number> {
  const found = new Map<string, number>();
  const add = ({ key, sigma }: SharedError, effect: number) =>
    found.set(key, (found.get(key) ?? 0) + sigma * effect);
  for (const { error, share } of own) add(error, share);
  for (const { error, by } of from?.effects ?? []) add(error, -dot(g, by));
  return found;
}

/** The place where a reading was taken, for a traveller at a place. */
export const readAt = (place: PlanePoint, from: ReadFrom | null): PlanePoint =>
  from ? sumOf(place, from) : place;

/** The direction that would be read, in radians. */
export function predictedBearing(place: PlanePoint, mark: PlanePoint, back: boolean): number {
  const { east, north } = vectorBetween(place, mark);
  return back ? Math.atan2(-east, -north) : Math.atan2(east, north);
}

const turned = (read: number, predicted: number) =>
  radians(signedDifference(degrees(predicted), degrees(read)));

/** The equations of an observation for a traveller at a place: two for standing somewhere. */
export function rowsOf(each: Observation, observation: number, place: PlanePoint): Row[] {
  if (each.kind === 'on-line') {
    const along = vectorBetween(each.from, each.to);
    const length = lengthOf(along);
    const g = { east: along.north / length, north: -along.east / length };
    const w = -dot(g, vectorBetween(each.from, place));
    return [row(observation, w, g, each.sigmaMetres ** 2, null, null, [], 0)];
  }
  const { mark, from } = each;
  const toward = vectorBetween(readAt(place, from), mark);
  const metres = Math.max(MIN_METRES, lengthOf(toward));
  switch (each.kind) {
    case 'at':
      return AXES.map((g) => row(observation, dot(g, toward), g, 0, mark, from, [], 0));
    case 'length': {
      const g = { east: -toward.east / metres, north: -toward.north / metres };
      const shared = each.shared.map(({ error, share }) => ({ error, share: share * metres }));
      const own = each.variance * metres ** 2;
      return [row(observation, each.metres - metres, g, own, mark, from, shared, 0)];
    }
    case 'bearing': {
      const g = { east: -toward.north / metres ** 2, north: toward.east / metres ** 2 };
      const predicted = predictedBearing(readAt(place, from), mark, each.back);
      const w = turned(each.bearing, predicted);
      const here = from === null && !each.back ? 1 : 0;
      return [row(observation, w, g, each.variance, mark, from, each.shared, here)];
    }
  }
}

/** Nearer to a mark no direction means anything. */
const MIN_METRES = 0.5;
const AXES: readonly PlanePoint[] = [
  { ...ORIGIN, east: 1 },
  { ...ORIGIN, north: 1 },
];

const row = (
  observation: number,
  w: number,
  g: PlanePoint,
  own: number,
  mark: Mark | null,
  from: ReadFrom | null,
  shared: readonly { readonly error: SharedError; readonly share: number }[],
  compassHere: number,
): Row => ({
  observation,
  w,
  g,
  own,
  mark,
  from,
  shared: sharedOf(shared, from, g),
  compassHere,
});

/** What a place on a map is exact to at best, one sigma: keeps the equations solvable. */
const LEAST_SIGMA_METRES = 0.1;

/** The covariance of rows; `compassHere` is the variance of the compass's error at this place. */
export function covarianceOf(
  rows: readonly Row[],
  stations: StationCovariance,
  compassHere: number,
): number[][] {
  return rows.map((one, i) =>
    rows.map((other, j) => {
      let sum = i === j ? one.own : 0;
      if (one.mark !== null && one.mark === other.mark) {
        sum += Math.max(LEAST_SIGMA_METRES, one.mark.sigmaMetres) ** 2 * dot(one.g, other.g);
      }
      if (one.from && other.from) {
        const { xx, xy, yy } = stations(one.from, other.from);
        sum += one.g.east * other.g.east * xx + one.g.north * other.g.north * yy;
        sum += (one.g.east * other.g.north + one.g.north * other.g.east) * xy;
      }
      for (const [key, effect] of one.shared) sum += effect * (other.shared.get(key) ?? 0);
      return sum + one.compassHere * other.compassHere * compassHere;
    }),
  );
}
