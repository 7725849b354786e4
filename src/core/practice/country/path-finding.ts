import FlatQueue from 'flatqueue';
import type { HeightField } from '../../terrain/height-field';
import { lengthOf, vectorBetween, type PlanePoint } from '../../units/plane';
import { pointOfPost, postsBeside } from './drainage';

/** Climbing makes a way longer by the square of its steepness: a path winds. */
const STEEPNESS = 60;

const postAt = ({ west, south, cellMetres, columns, rows }: HeightField, point: PlanePoint) => {
  const column = Math.round((point.east - west) / cellMetres);
  const row = Math.round((point.north - south) / cellMetres);
  return (
    Math.min(rows - 1, Math.max(0, row)) * columns + Math.min(columns - 1, Math.max(0, column))
  );
};

/**
 * The easiest way over the ground between two points, around what can't be walked; null where there
 * is none. Source: E. W. Dijkstra, A note on two problems in connexion with graphs, 1959 (memory).
 */
export function easiestWay(
  field: HeightField,
  from: PlanePoint,
  to: PlanePoint,
  canWalk: (point: PlanePoint) => boolean,
): PlanePoint[] | null {
  const [start, goal] = [postAt(field, from), postAt(field, to)];
  const costs = new Float64Array(field.columns * field.rows).fill(Infinity);
  const before = new Int32Array(costs.length).fill(-1);
  const queue = new FlatQueue<number>();
  costs[start] = 0;
  queue.push(start, 0);
  while (queue.length > 0) {
    const cost = queue.peekValue()!;
    const post = queue.pop()!;
    if (post === goal) break;
    if (cost > costs[post]!) continue;
    const here = pointOfPost(field, post);
    for (const other of postsBeside(field, post)) {
      const there = pointOfPost(field, other);
      if (!canWalk(there)) continue;
      const metres = lengthOf(vectorBetween(here, there));
      const rise = (field.metres[other]! - field.metres[post]!) / metres;
      const more = cost + metres * (1 + STEEPNESS * rise * rise);
      if (more >= costs[other]!) continue;
      costs[other] = more;
      before[other] = post;
      queue.push(other, more);
    }
  }
  if (start !== goal && before[goal] === -1) return null;
  const way: PlanePoint[] = [];
  for (let at = goal; at !== -1; at = before[at]!) way.unshift(pointOfPost(field, at));
  return [from, ...way.slice(1, -1), to];
}
