import { lengthOf, sumOf, vectorBetween, type PlanePoint } from '../../../units/plane';
import { degrees, type Degrees, type Metres } from '../../../units/units';
import type { BearingReadAt, Observation } from './observation';
import { predictedBearing, readAt } from './rows';

/** Half a turn: a line of sight and its reverse cross any other alike. */
const HALF_TURN = 180;

/** The acute angle between two directions in degrees, in [0, 90]. */
export function cutBetween(one: Degrees, other: Degrees): Degrees {
  const turn = Math.abs(one - other) % HALF_TURN;
  return Math.min(turn, HALF_TURN - turn);
}

/** The directions in which the place is held: lines of sight, and across lengths and paths. */
function directionsAt(observations: readonly Observation[], place: PlanePoint): Degrees[] {
  return observations.flatMap((each) => {
    if (each.kind === 'at') return [];
    if (each.kind === 'on-line') {
      const { east, north } = vectorBetween(each.from, each.to);
      return [degrees(Math.atan2(east, north))];
    }
    const sight = degrees(predictedBearing(readAt(place, each.from), each.mark, false));
    return [each.kind === 'length' ? sight + HALF_TURN / 2 : sight];
  });
}

/** The flattest and the best cut at a place; null where there are no two lines. */
export function cutsAt(observations: readonly Observation[], place: PlanePoint) {
  const directions = directionsAt(observations, place);
  let [least, best] = [Infinity, -Infinity];
  for (const [i, one] of directions.entries()) {
    for (const other of directions.slice(i + 1)) {
      const cut = cutBetween(one, other);
      least = Math.min(least, cut);
      best = Math.max(best, cut);
    }
  }
  return best < 0 ? null : { least, best };
}

/** A line on which a bearing puts the traveller, and which way along it the mark is. */
interface SightLine {
  readonly at: PlanePoint;
  readonly toward: PlanePoint;
}

/** The line of a bearing for the traveller now, with the legs since it was read. */
export function sightLine({ bearing, back, mark, from }: BearingReadAt): SightLine {
  const sign = back ? -1 : 1;
  const toward = { east: sign * Math.sin(bearing), north: sign * Math.cos(bearing) };
  const at = from ? vectorBetween(from, mark) : mark;
  return { at, toward };
}

/** How far before each point two lines cross; null for parallel ones. */
export function crossing(one: SightLine, other: SightLine) {
  const { at: a, toward: u } = one;
  const { at: b, toward: v } = other;
  const determinant = u.east * v.north - u.north * v.east;
  if (Math.abs(determinant) < PARALLEL) return null;
  const apart = vectorBetween(b, a);
  const metres: Metres = (apart.east * v.north - apart.north * v.east) / determinant;
  const metresOfOther: Metres = (apart.east * u.north - apart.north * u.east) / determinant;
  const place = sumOf(a, { east: -metres * u.east, north: -metres * u.north });
  return { place, metres, metresOfOther };
}
const PARALLEL = 1e-9;

/** Where a traveller may be by two readings at a time: first guesses for the adjustment. */
export function guesses(observations: readonly Observation[]): PlanePoint[] {
  const found: PlanePoint[] = [];
  const sights: SightLine[] = [];
  for (const each of observations) {
    if (each.kind === 'bearing') sights.push(sightLine(each));
    if (each.kind === 'at') found.push(each.from ? vectorBetween(each.from, each.mark) : each.mark);
    if (each.kind === 'on-line') {
      const along = vectorBetween(each.from, each.to);
      const length = lengthOf(along);
      const toward = { east: along.east / length, north: along.north / length };
      sights.push({ at: each.from, toward });
    }
  }
  for (const [i, one] of sights.entries()) {
    for (const other of sights.slice(i + 1)) {
      const met = crossing(one, other);
      if (met) found.push(met.place);
    }
  }
  for (const each of observations) {
    if (each.kind !== 'length') continue;
    const mark = each.from ? vectorBetween(each.from, each.mark) : each.mark;
    for (const { toward } of sights) {
      const by = { east: -each.metres * toward.east, north: -each.metres * toward.north };
      found.push(sumOf(mark, by));
    }
  }
  return found;
}
