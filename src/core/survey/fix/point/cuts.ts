import { azimuthOf, scaled, sumOf, vectorBetween, type PlanePoint } from '../../../units/plane';
import type { Degrees, Metres } from '../../../units/units';
import { equationCount, equationsOf, locusOf, type Observation } from '../../observations';
import type { Locus } from '../../observations/observation';

/** Half a turn: a line of sight and its reverse cross any other alike. */
const HALF_TURN = 180;

/** The acute angle between two directions in degrees, in [0, 90]. */
export function cutBetween(one: Degrees, other: Degrees): Degrees {
  const turn = Math.abs(one - other) % HALF_TURN;
  return Math.min(turn, HALF_TURN - turn);
}

/**
 * The directions in which single readings let the place move, across what they change by: lines of
 * sight and paths, and across lengths.
 */
const directionsAt = (observations: readonly Observation[], place: PlanePoint): Degrees[] =>
  observations.flatMap((each) =>
    equationCount(each) > 1
      ? []
      : equationsOf(each, place).map(({ g }) => azimuthOf({ east: -g.north, north: g.east })),
  );

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

type LineLocus = Extract<Locus, { is: 'line' }>;

/** How far before each point two lines cross; null for parallel ones. */
export function crossing(one: Omit<LineLocus, 'is'>, other: Omit<LineLocus, 'is'>) {
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
  const loci = observations.map(locusOf);
  const lines = loci.filter((locus) => locus?.is === 'line');
  const found: PlanePoint[] = loci.flatMap((locus) => (locus?.is === 'point' ? [locus.at] : []));
  for (const [i, one] of lines.entries()) {
    for (const other of lines.slice(i + 1)) {
      const met = crossing(one, other);
      if (met) found.push(met.place);
    }
  }
  for (const locus of loci) {
    if (locus?.is !== 'circle') continue;
    for (const { toward } of lines) found.push(sumOf(locus.at, scaled(toward, -locus.metres)));
  }
  return found;
}
