import type { PlanePoint } from '../units/plane';

const between = (a: PlanePoint, b: PlanePoint, share: number): PlanePoint => ({
  east: a.east + share * (b.east - a.east),
  north: a.north + share * (b.north - a.north),
});

/**
 * A line with its corners cut off, as ground and pens do; its ends stay. Source: G. Chaikin, An
 * algorithm for high speed curve generation, 1974 (memory).
 */
export function smoothed(points: readonly PlanePoint[], rounds: number): PlanePoint[] {
  const [first, last] = [points[0], points.at(-1)];
  if (rounds === 0 || !first || !last) return [...points];
  const cut = points
    .slice(1)
    .flatMap((point, index) => [
      between(points[index]!, point, 0.25),
      between(points[index]!, point, 0.75),
    ]);
  return smoothed([first, ...cut, last], rounds - 1);
}
