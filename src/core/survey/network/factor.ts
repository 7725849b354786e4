import type { Covariance } from '../../errors/covariance';
import { eliminateFirst, updateOf } from './front';
import type { Elimination } from './ordering';

/**
 * What a line puts into the normal equations: its weight, a symmetric 2 by 2 matrix; and for one
 * with a local error, the place of that among the nodes and what one unit of it moves the end by.
 */
export interface Weighted {
  readonly from: number;
  readonly to: number;
  readonly weight: Covariance;
  /** -1 for none. */
  readonly local: number;
  readonly localEast: number;
  readonly localNorth: number;
}

/**
 * The Cholesky factor of the normal equations of a network, node by node, by fronts: each node
 * gathers what its line and the nodes before it leave, is eliminated, and leaves an update to the
 * next one it meets. Node 0 is fixed, and has no unknowns.
 *
 * | symbol | meaning                                          | equation                             |
 * | N      | normal matrix of the places, 2 by 2 blocks       | Σ over lines of ±W                   |
 * | t      | a local error: a node with one unknown           | j'Wj + 1/σ²; with places ±Wj         |
 * | F      | front of node p: p, and the nodes it meets       | lines of p, and updates left to it   |
 * | L, T   | its factor, and what it does to those it meets   | F11 = L·L',  T = F21·L⁻ᵀ             |
 * | U      | the update that it leaves                        | F22 - T·T'                           |
 *
 * Source: I. S. Duff and J. K. Reid, The multifrontal solution of indefinite sparse symmetric
 * linear equations, ACM TOMS 9 (1983) (memory).
 */
export class Factor {
  /** Of each node: the three numbers of L (xx, yx, yy), then T, two columns a row. */
  readonly pivots: Float64Array;
  readonly below: readonly Float64Array[];

  constructor(
    nodes: number,
    readonly elimination: Elimination,
    lines: readonly Weighted[],
    /** The inverse variances of the local errors, which are the last of the nodes. */
    priors: readonly number[] = [],
  ) {
    const { order, front } = elimination;
    const { diagonal, firstOff, nextOff, off } = assembled(nodes, elimination, lines, priors);
    // What nodes left, by the next node of each: a chain through those that left it something.
    const firstLeft = new Int32Array(nodes).fill(-1);
    const nextLeft = new Int32Array(nodes).fill(-1);
    const updates: Float64Array[] = Array.from({ length: nodes }, () => NOTHING);
    const place = new Int32Array(nodes);
    this.pivots = new Float64Array(3 * nodes);
    const below: Float64Array[] = Array.from({ length: nodes }, () => NOTHING);
    for (const node of order) {
      const met = front[node]!;
      const size = 2 + 2 * met.length;
      const matrix = new Float64Array(size * size);
      for (let i = 0; i < met.length; i++) place[met[i]!] = 2 + 2 * i;
      place[node] = 0;
      matrix[0] = diagonal[3 * node]!;
      matrix[size] = diagonal[3 * node + 1]!;
      matrix[size + 1] = diagonal[3 * node + 2]!;
      for (let i = firstOff[node]!; i !== -1; i = nextOff[i]!) {
        const { to, xx, xy, yx, yy } = off[i]!;
        const at = place[to]! * size;
        matrix[at]! += xx;
        matrix[at + 1]! += xy;
        matrix[at + size]! += yx;
        matrix[at + size + 1]! += yy;
      }
      for (let of = firstLeft[node]!; of !== -1; of = nextLeft[of]!) {
        addUpdate(matrix, size, updates[of]!, front[of]!, place);
        updates[of] = NOTHING;
      }
      below[node] = eliminateFirst(matrix, size, this.pivots, node);
      const next = met[0];
      if (next === undefined) continue;
      updates[node] = updateOf(matrix, size, below[node]);
      nextLeft[node] = firstLeft[next]!;
      firstLeft[next] = node;
    }
    this.below = below;
  }

  /** A factor that was posted between threads, and lost what it can do on the way. */
  static restored(posted: Pick<Factor, 'elimination' | 'pivots' | 'below'>): Factor {
    return Object.assign(Object.create(Factor.prototype) as Factor, posted);
  }

  /** Solves N·x = b in place; `columns` right-hand sides stand beside each other, row by row. */
  solve(b: Float64Array, columns: number): void {
    this.forward(b, columns);
    this.backward(b, columns);
  }

  private forward(b: Float64Array, columns: number): void {
    const { order, front } = this.elimination;
    for (const node of order) {
      this.eliminate(b, node, columns);
      const met = front[node]!;
      const t = this.below[node]!;
      const from = 2 * node * columns;
      for (let i = 0; i < met.length; i++) {
        const at = 2 * met[i]! * columns;
        for (let c = 0; c < columns; c++) {
          const [x, y] = [b[from + c]!, b[from + columns + c]!];
          b[at + c]! -= t[4 * i]! * x + t[4 * i + 1]! * y;
          b[at + columns + c]! -= t[4 * i + 2]! * x + t[4 * i + 3]! * y;
        }
      }
    }
  }

  /** b of a node becomes L⁻¹·b. */
  private eliminate(b: Float64Array, node: number, columns: number): void {
    const { pivots } = this;
    const at = 2 * node * columns;
    for (let c = 0; c < columns; c++) {
      const x = b[at + c]! / pivots[3 * node]!;
      b[at + c] = x;
      b[at + columns + c] =
        (b[at + columns + c]! - pivots[3 * node + 1]! * x) / pivots[3 * node + 2]!;
    }
  }

  private backward(b: Float64Array, columns: number): void {
    const { pivots } = this;
    const { order, front } = this.elimination;
    for (let k = order.length - 1; k >= 0; k--) {
      const node = order[k]!;
      const met = front[node]!;
      const t = this.below[node]!;
      const from = 2 * node * columns;
      for (let c = 0; c < columns; c++) {
        let [x, y] = [b[from + c]!, b[from + columns + c]!];
        for (let i = 0; i < met.length; i++) {
          const at = 2 * met[i]! * columns + c;
          x -= t[4 * i]! * b[at]! + t[4 * i + 2]! * b[at + columns]!;
          y -= t[4 * i + 1]! * b[at]! + t[4 * i + 3]! * b[at + columns]!;
        }
        y /= pivots[3 * node + 2]!;
        b[from + columns + c] = y;
        b[from + c] = (x - pivots[3 * node + 1]! * y) / pivots[3 * node]!;
      }
    }
  }

  /**
   * The covariance of the vector between two nodes, N⁻¹ taken between them. Only the nodes on their
   * way to the last one eliminated have a part in it.
   */
  between(from: number, to: number): Covariance {
    const { position, front } = this.elimination;
    const values = new Map<number, Float64Array>();
    if (from !== 0) values.set(from, Float64Array.of(-1, 0, 0, -1));
    if (to !== 0) values.set(to, Float64Array.of(1, 0, 0, 1));
    let [one, other] = [from === 0 ? -1 : from, to === 0 ? -1 : to];
    const sum = { xx: 0, xy: 0, yy: 0 };
    while (one !== -1 || other !== -1) {
      const isOne = other === -1 || (one !== -1 && position[one]! <= position[other]!);
      const node = isOne ? one : other;
      const next = front[node]![0] ?? -1;
      if (one === node) one = next;
      if (other === node) other = next;
      const value = values.get(node)!;
      values.delete(node);
      this.passOn(values, node, value);
      const [a = 0, b = 0, c = 0, d = 0] = value;
      sum.xx += a * a + c * c;
      sum.xy += a * b + c * d;
      sum.yy += b * b + d * d;
    }
    return sum;
  }

  /** One step of the forward solution, for the two columns of `between`. */
  private passOn(values: Map<number, Float64Array>, node: number, value: Float64Array): void {
    this.eliminateAt(value, node);
    const t = this.below[node]!;
    for (const [i, met] of this.elimination.front[node]!.entries()) {
      let there = values.get(met);
      if (!there) values.set(met, (there = new Float64Array(4)));
      for (let c = 0; c < 2; c++) {
        there[c]! -= t[4 * i]! * value[c]! + t[4 * i + 1]! * value[2 + c]!;
        there[2 + c]! -= t[4 * i + 2]! * value[c]! + t[4 * i + 3]! * value[2 + c]!;
      }
    }
  }

  private eliminateAt(value: Float64Array, node: number): void {
    const { pivots } = this;
    for (let c = 0; c < 2; c++) {
      value[c]! /= pivots[3 * node]!;
      value[2 + c] = (value[2 + c]! - pivots[3 * node + 1]! * value[c]!) / pivots[3 * node + 2]!;
    }
  }
}

const NOTHING = new Float64Array(0);

/** A block off the diagonal, in the rows of the node that goes later. */
interface OffBlock {
  readonly to: number;
  readonly xx: number;
  readonly xy: number;
  readonly yx: number;
  readonly yy: number;
}

/** The normal matrix: its diagonal blocks, and the others in chains by the node that goes first. */
function assembled(
  nodes: number,
  { position }: Elimination,
  lines: readonly Weighted[],
  priors: readonly number[],
) {
  const diagonal = new Float64Array(3 * nodes);
  const firstOff = new Int32Array(nodes).fill(-1);
  const nextOff: number[] = [];
  const off: OffBlock[] = [];
  const onDiagonal = (node: number, xx: number, xy: number, yy: number) => {
    diagonal[3 * node]! += xx;
    diagonal[3 * node + 1]! += xy;
    diagonal[3 * node + 2]! += yy;
  };
  /** A block by the rows of one node and the columns of another; its mirror goes without saying. */
  const between = (row: number, column: number, [xx, xy, yx, yy]: Block) => {
    if (row === 0 || column === 0) return;
    const isLater = position[row]! > position[column]!;
    const first = isLater ? column : row;
    nextOff.push(firstOff[first]!);
    firstOff[first] = off.length;
    off.push(isLater ? { to: row, xx, xy, yx, yy } : { to: column, xx, xy: yx, yx: xy, yy });
  };
  for (const { from, to, weight, local, localEast, localNorth } of lines) {
    const { xx, xy, yy } = weight;
    const isLoop = from === to;
    if (!isLoop) {
      onDiagonal(from, xx, xy, yy);
      onDiagonal(to, xx, xy, yy);
      between(from, to, [-xx, -xy, -xy, -yy]);
    }
    if (local === -1) continue;
    const [pullEast, pullNorth] = [
      xx * localEast + xy * localNorth,
      xy * localEast + yy * localNorth,
    ];
    onDiagonal(local, localEast * pullEast + localNorth * pullNorth, 0, 0);
    if (isLoop) continue;
    between(from, local, [pullEast, 0, pullNorth, 0]);
    between(to, local, [-pullEast, 0, -pullNorth, 0]);
  }
  // The second unknown of a local error is none: it is kept apart, at 0.
  for (const [i, prior] of priors.entries()) onDiagonal(nodes - priors.length + i, prior, 0, 1);
  return { diagonal, firstOff, nextOff, off };
}

/** A 2 by 2 block, row by row. */
type Block = readonly [number, number, number, number];

/** Adds what a node left to the front of the next one; both lower triangles. */
function addUpdate(
  matrix: Float64Array,
  size: number,
  update: Float64Array,
  met: Int32Array,
  place: Int32Array,
): void {
  const width = 2 * met.length;
  const at = new Int32Array(width);
  for (let i = 0; i < width; i++) at[i] = place[met[i >> 1]!]! + (i & 1);
  for (let i = 0, from = 0; i < width; i++, from += width) {
    const row = at[i]! * size;
    for (let j = 0; j <= i; j++) matrix[row + at[j]!]! += update[from + j]!;
  }
}
