import type { PlanePoint } from '../../core/units/plane';
import type { Metres } from '../../core/units/units';
import { nth } from '../../core/units/nth';

/** Distances computed at most: lines that coil on themselves by the ten thousand are refused. */
export const MOST_DISTANCES = 20_000_000;

/** What was computed so far for all lines of a file. */
export interface Work {
  distances: number;
}

/** A stretch between two points that stay, by their indices. */
type Stretch = readonly [number, number];

/**
 * The points of a line that are needed so that it strays by no more than the tolerance (D. H.
 * Douglas and T. K. Peucker, The Canadian Cartographer 10(2), 1973; memory). The first, the last
 * and the `kept` stay. Null when the line is too tangled. Written with a stack: the packages for
 * this call themselves, and a long straight line overflows.
 */
export function thinned(
  points: readonly PlanePoint[],
  tolerance: Metres,
  work: Work = { distances: 0 },
  kept: ReadonlySet<number> = new Set(),
): number[] | null {
  const fixed = [0, ...[...kept].sort((a, b) => a - b), points.length - 1];
  const stays = new Set(fixed);
  const open: Stretch[] = fixed
    .slice(1)
    .map((to, i): Stretch => [fixed[i] ?? 0, to])
    .filter(([from, to]) => to > from);
  for (let stretch = open.pop(); stretch; stretch = open.pop()) {
    const [from, to] = stretch;
    work.distances += to - from;
    if (work.distances > MOST_DISTANCES) return null;
    const { index, metres } = farthest(points, from, to);
    if (metres <= tolerance) continue;
    stays.add(index);
    open.push([from, index], [index, to]);
  }
  return [...stays].sort((a, b) => a - b);
}

/** The point between two that strays farthest from the straight line between them. */
function farthest(points: readonly PlanePoint[], from: number, to: number) {
  const a = nth(points, from);
  const [dx, dy] = [nth(points, to).east - a.east, nth(points, to).north - a.north];
  const length2 = dx * dx + dy * dy;
  let [index, most] = [from, -1];
  for (let i = from + 1; i < to; i++) {
    const [x, y] = [nth(points, i).east - a.east, nth(points, i).north - a.north];
    const t = length2 === 0 ? 0 : Math.min(1, Math.max(0, (x * dx + y * dy) / length2));
    const metres2 = (x - t * dx) ** 2 + (y - t * dy) ** 2;
    if (metres2 > most) [index, most] = [i, metres2];
  }
  return { index, metres: Math.sqrt(Math.max(0, most)) };
}
