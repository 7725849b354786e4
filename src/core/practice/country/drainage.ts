import FlatQueue from 'flatqueue';
import type { HeightField } from '../../terrain/height-field';
import type { PlanePoint } from '../../units/plane';
import type { Metres } from '../../units/units';

const NEIGHBOURS = [-1, 0, 1].flatMap((dx) =>
  [-1, 0, 1].filter((dy) => dx !== 0 || dy !== 0).map((dy) => [dx, dy] as const),
);

/** The posts beside one, by number. */
export function* postsBeside(
  { columns, rows }: Pick<HeightField, 'columns' | 'rows'>,
  post: number,
): Generator<number> {
  const [x, y] = [post % columns, Math.floor(post / columns)];
  for (const [dx, dy] of NEIGHBOURS) {
    if (x + dx < 0 || y + dy < 0 || x + dx >= columns || y + dy >= rows) continue;
    yield post + dx + dy * columns;
  }
}

export const pointOfPost = (field: HeightField, post: number): PlanePoint => ({
  east: field.west + field.cellMetres * (post % field.columns),
  north: field.south + field.cellMetres * Math.floor(post / field.columns),
});

/** A flooded hollow still falls by this much from post to post, so that water finds its way. */
const LEAST_FALL_METRES = 0.01;

/** Ground without hollows but the lakes, and the post to which the water of each post goes. */
interface Drained {
  readonly field: HeightField;
  /** Itself where it stays. */
  readonly to: Int32Array;
}

/**
 * Floods the ground from the lakes and the edge upward: hollows are filled to their rim, and each
 * post drains to the one that it was reached from. Source: R. Barnes, C. Lehman, D. Mulla,
 * Priority-flood, Computers & Geosciences 62, 2014 (memory).
 */
export function drained(field: HeightField, waterLevel: Metres): Drained {
  const { columns, rows } = field;
  const metres = field.metres.slice();
  const to = new Int32Array(columns * rows).fill(-1);
  const queue = new FlatQueue<number>();
  for (let post = 0; post < to.length; post++) {
    const [x, y] = [post % columns, Math.floor(post / columns)];
    const isEdge = x === 0 || y === 0 || x === columns - 1 || y === rows - 1;
    if (!isEdge && metres[post]! >= waterLevel) continue;
    to[post] = post;
    queue.push(post, metres[post]!);
  }
  while (queue.length > 0) {
    const post = queue.pop()!;
    for (const other of postsBeside(field, post)) {
      if (to[other] !== -1) continue;
      to[other] = post;
      metres[other] = Math.max(metres[other]!, metres[post]! + LEAST_FALL_METRES);
      queue.push(other, metres[other]);
    }
  }
  return { field: { ...field, metres }, to };
}

/** Streams: where the water of so many posts comes together, each line from where it begins. */
export function streamsOf({ field, to }: Drained, leastPosts: number): PlanePoint[][] {
  const gathered = new Int32Array(to.length);
  for (let post = 0; post < to.length; post++) {
    for (let at = post; ; at = to[at]!) {
      gathered[at]!++;
      if (to[at] === at) break;
    }
  }
  const hasInflow = new Uint8Array(to.length);
  for (const [post, count] of gathered.entries()) {
    if (count >= leastPosts && to[post] !== post) hasInflow[to[post]!] = 1;
  }
  const isUsed = new Uint8Array(to.length);
  const lines: PlanePoint[][] = [];
  for (const [post, count] of gathered.entries()) {
    if (count < leastPosts || hasInflow[post] || to[post] === post) continue;
    const line = [pointOfPost(field, post)];
    for (let at = post; to[at] !== at && !isUsed[at]; at = to[at]!) {
      isUsed[at] = 1;
      line.push(pointOfPost(field, to[at]!));
    }
    if (line.length > 6) lines.push(line);
  }
  return lines;
}
