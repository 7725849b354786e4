import type { PlaneSpot } from '../core/beside-leg';
import type { Metres } from '../core/units';

/** Distances worked out at most: a line that coils on itself by the ten thousand is refused instead of waited for. */
const MOST_DISTANCES = 5_000_000;

/**
 * The points of a line that are needed so that it strays by no more than the tolerance (D. H. Douglas and T. K. Peucker,
 * The Canadian Cartographer 10(2), 1973; memory). The first, the last and the `kept` stay. Null when it is too tangled to be
 * worked out in a moment. Written with a stack: the packages for this call themselves, and a long straight line overflows.
 */
export function thinned(
  spots: readonly PlaneSpot[],
  tolerance: Metres,
  kept: ReadonlySet<number> = new Set(),
): number[] | null {
  const stays = new Uint8Array(spots.length);
  const fixed = [0, ...[...kept].sort((a, b) => a - b), spots.length - 1];
  const open: [number, number][] = [];
  fixed.forEach((index, i) => {
    stays[index] = 1;
    if (i > 0 && index > fixed[i - 1]!) open.push([fixed[i - 1]!, index]);
  });
  let worked = 0;
  for (let stretch = open.pop(); stretch; stretch = open.pop()) {
    const [from, to] = stretch;
    worked += to - from;
    if (worked > MOST_DISTANCES) return null;
    const { index, metres } = farthest(spots, from, to);
    if (metres <= tolerance) continue;
    stays[index] = 1;
    open.push([from, index], [index, to]);
  }
  return spots.flatMap((_, index) => (stays[index] ? [index] : []));
}

/** The point between two that strays farthest from the straight line from one to the other. */
function farthest(spots: readonly PlaneSpot[], from: number, to: number) {
  const a = spots[from]!;
  const [dx, dy] = [spots[to]!.east - a.east, spots[to]!.north - a.north];
  const length2 = dx * dx + dy * dy;
  let [index, most] = [from, -1];
  for (let i = from + 1; i < to; i++) {
    const [x, y] = [spots[i]!.east - a.east, spots[i]!.north - a.north];
    const t = length2 === 0 ? 0 : Math.min(1, Math.max(0, (x * dx + y * dy) / length2));
    const metres2 = (x - t * dx) ** 2 + (y - t * dy) ** 2;
    if (metres2 > most) [index, most] = [i, metres2];
  }
  return { index, metres: Math.sqrt(Math.max(0, most)) };
}
