import { lengthOf, vectorBetween, type PlanePoint } from '../../units/plane';
import type { Metres } from '../../units/units';
import { shuffled } from '../chance';
import { isInside, type Country, type NamedPoint } from './country';

/** What is named and can be seen: summits and buildings. */
export const namedPlaces = ({ summits, buildings }: Country): NamedPoint[] => [
  ...summits,
  ...buildings,
];

/** Two named places so far from each other, in an order by chance; the nearest fit at last. */
export function pairOf(
  country: Country,
  next: () => number,
  least: Metres,
  most: Metres,
): readonly [NamedPoint, NamedPoint] {
  const places = shuffled(namedPlaces(country), next);
  let best: readonly [NamedPoint, NamedPoint] = [places[0]!, places[1]!];
  let missed = Infinity;
  for (const from of places) {
    for (const to of places) {
      const metres = lengthOf(vectorBetween(from.point, to.point));
      const misses = from === to ? Infinity : Math.max(least - metres, metres - most, 0);
      if (misses < missed) [best, missed] = [[from, to], misses];
    }
  }
  return best;
}

/** So many points are tried; the countries of the exercises have what is asked for in fewer. */
const MOST_TRIES = 2000;

/** A point inside the country that a test agrees to. Throws RangeError where none was found. */
export function pointWhere(
  country: Country,
  next: () => number,
  edge: Metres,
  agrees: (point: PlanePoint) => boolean,
): PlanePoint {
  const { west, east, south, north } = country.bounds;
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const point = { east: west + next() * (east - west), north: south + next() * (north - south) };
    if (isInside(country, point, edge) && agrees(point)) return point;
  }
  throw new RangeError(`country ${country.seed} has no such place`);
}
