import { NO_COVARIANCE, type Covariance } from '../../errors/covariance';
import type { Factor } from './factor';

/** The covariance of the vector along a line, N⁻¹ between its ends, and with its local error. */
export interface LineCovariance extends Covariance {
  /** With the local error, in metres times radians, and its variance; 0 where there is none. */
  readonly localEast: number;
  readonly localNorth: number;
  readonly local: number;
}

const NOTHING: LineCovariance = { ...NO_COVARIANCE, localEast: 0, localNorth: 0, local: 0 };

/** A node with the inverse among those that it meets: square, both triangles. */
interface Due {
  readonly node: number;
  readonly among: Float64Array;
}

/**
 * The covariances of the vectors along all lines, N⁻¹ taken between their ends, at the cost of one
 * more factorization: the inverse is found only where the factor has entries, from the last node
 * back to the first.
 *
 * | symbol | meaning                                       | equation                    |
 * | Z      | N⁻¹ among a node p and those it meets (s)     |                             |
 * | M      | T·L⁻¹                                         | Zsp = -Zss·M                |
 * |        |                                               | Zpp = (L·L')⁻¹ + M'·Zss·M   |
 *
 * Source: A. M. Erisman and W. F. Tinney, On computing certain elements of the inverse of a sparse
 * matrix, Communications of the ACM 18 (1975) (memory).
 */
export function lineCovariances(
  factor: Factor,
  lines: readonly {
    readonly from: number;
    readonly to: number;
    /** Its local error among the nodes; -1 for none. */
    readonly local?: number;
  }[],
): LineCovariance[] {
  const { order, position, front } = factor.elimination;
  const found: LineCovariance[] = lines.map(() => NOTHING);
  const linesOf = new Map<number, number[]>();
  for (const [index, { from, to, local = -1 }] of lines.entries()) {
    const ends = from === to ? [] : [from, to];
    const [first] = [...ends, local]
      .filter((node) => node > 0)
      .sort((a, b) => position[a]! - position[b]!);
    // Where the first of them goes, it meets the others.
    if (first !== undefined) push(linesOf, first, index);
  }
  const children = new Map<number, number[]>();
  const due: Due[] = [];
  for (const node of order) {
    const next = front[node]![0];
    if (next === undefined) due.push({ node, among: new Float64Array(0) });
    else push(children, next, node);
  }
  const place = new Int32Array(position.length);
  for (let each = due.pop(); each; each = due.pop()) {
    const { node } = each;
    const met = front[node]!;
    const inverse = inverseAt(factor, each);
    for (let i = 0; i < met.length; i++) place[met[i]!] = 2 + 2 * i;
    place[node] = 0;
    const size = 2 + 2 * met.length;
    for (const index of linesOf.get(node) ?? []) {
      const { from, to, local = -1 } = lines[index]!;
      const at = (one: number) => (one > 0 ? place[one]! : null);
      found[index] =
        from === to
          ? along(inverse, size, null, null, at(local))
          : along(inverse, size, at(from), at(to), at(local));
    }
    for (const child of children.get(node) ?? []) {
      due.push({ node: child, among: taken(inverse, size, front[child]!, place) });
    }
  }
  return found;
}

function push(lists: Map<number, number[]>, key: number, value: number): void {
  const list = lists.get(key);
  if (list) list.push(value);
  else lists.set(key, [value]);
}

/** The part of an inverse that is among some of its nodes. */
function taken(inverse: Float64Array, size: number, nodes: Int32Array, place: Int32Array) {
  const width = 2 * nodes.length;
  const part = new Float64Array(width * width);
  for (let i = 0; i < width; i++) {
    const row = (place[nodes[i >> 1]!]! + (i & 1)) * size;
    for (let j = 0; j < width; j++) {
      part[i * width + j] = inverse[row + place[nodes[j >> 1]!]! + (j & 1)]!;
    }
  }
  return part;
}

/** The inverse among a node and those that it meets. */
function inverseAt({ pivots, below }: Factor, { node, among }: Due): Float64Array {
  const t = below[node]!;
  const width = t.length / 2;
  const size = width + 2;
  const [xx, yx, yy] = [pivots[3 * node]!, pivots[3 * node + 1]!, pivots[3 * node + 2]!];
  // M, two numbers a row: a row of T times L⁻¹.
  const m = new Float64Array(2 * width);
  for (let i = 0; i < width; i++) {
    const y = t[2 * i + 1]! / yy;
    m[2 * i] = (t[2 * i]! - y * yx) / xx;
    m[2 * i + 1] = y;
  }
  const inverse = new Float64Array(size * size);
  let [zxx, zxy, zyy] = [(1 + (yx / yy) ** 2) / xx ** 2, -yx / (xx * yy * yy), 1 / yy ** 2];
  for (let i = 0; i < width; i++) {
    let [x, y] = [0, 0];
    for (let j = 0; j < width; j++) {
      const z = among[i * width + j]!;
      inverse[(i + 2) * size + j + 2] = z;
      x -= z * m[2 * j]!;
      y -= z * m[2 * j + 1]!;
    }
    inverse[(i + 2) * size] = x;
    inverse[(i + 2) * size + 1] = y;
    inverse[i + 2] = x;
    inverse[size + i + 2] = y;
    zxx -= m[2 * i]! * x;
    zxy -= m[2 * i]! * y;
    zyy -= m[2 * i + 1]! * y;
  }
  inverse[0] = zxx;
  inverse[1] = zxy;
  inverse[size] = zxy;
  inverse[size + 1] = zyy;
  return inverse;
}

/** The covariance of a line, by where its ends and its local error are in an inverse. */
function along(
  z: Float64Array,
  size: number,
  from: number | null,
  to: number | null,
  local: number | null,
): LineCovariance {
  const at = (a: number | null, row: number, b: number | null, column: number): number =>
    a === null || b === null ? 0 : z[(a + row) * size + b + column]!;
  const between = (row: number, column: number) =>
    at(to, row, to, column) +
    at(from, row, from, column) -
    at(to, row, from, column) -
    at(from, row, to, column);
  const withLocal = (row: number) => at(to, row, local, 0) - at(from, row, local, 0);
  return {
    xx: between(0, 0),
    xy: between(0, 1),
    yy: between(1, 1),
    localEast: withLocal(0),
    localNorth: withLocal(1),
    local: at(local, 0, local, 0),
  };
}
