/** In which order the nodes of a graph are eliminated, and what each one meets then. */
export interface Elimination {
  /** Nodes in the order in which they go. */
  readonly order: Int32Array;
  /** The place of each node in the order; -1 for one that takes no part. */
  readonly position: Int32Array;
  /** What a node is joined to when it goes: nodes that go later, the next one first. */
  readonly front: readonly Int32Array[];
  /** The most nodes that one meets: the cost grows with the cube of it. */
  readonly widest: number;
}

/**
 * An elimination order by least degree: chains of legs go first, and cost nothing. `edges` are
 * pairs of nodes; node 0 is fixed, and takes no part.
 * Source: D. J. Rose, A graph-theoretic study of the numerical solution of sparse positive definite
 * systems of linear equations, 1972 (memory).
 */
export function eliminationOrder(
  nodes: number,
  edges: Iterable<readonly [number, number]>,
): Elimination {
  const joined = Array.from({ length: nodes }, () => new Set<number>());
  for (const [a, b] of edges) {
    if (a === b || a === 0 || b === 0) continue;
    joined[a]!.add(b);
    joined[b]!.add(a);
  }
  const order = new Int32Array(Math.max(0, nodes - 1));
  const position = new Int32Array(nodes).fill(-1);
  const fronts: (readonly number[])[] = Array.from({ length: nodes }, () => []);
  const byDegree = new Degrees(nodes);
  for (let node = 1; node < nodes; node++) byDegree.put(node, joined[node]!.size);
  let widest = 0;
  for (let gone = 0; gone < nodes - 1; gone++) {
    const [node, degree] = byDegree.least(joined, position);
    if (degree === nodes - 2 - gone) {
      // All that is left is joined to all: any order will do.
      takeRest(joined, order, position, fronts, gone);
      return sorted(order, position, fronts, Math.max(widest, degree));
    }
    widest = Math.max(widest, degree);
    const met = [...joined[node]!];
    order[gone] = node;
    position[node] = gone;
    fronts[node] = met;
    for (const [index, one] of met.entries()) {
      const ofOne = joined[one]!;
      ofOne.delete(node);
      for (let other = 0; other < index; other++) {
        ofOne.add(met[other]!);
        joined[met[other]!]!.add(one);
      }
    }
    for (const one of met) byDegree.put(one, joined[one]!.size);
  }
  return sorted(order, position, fronts, widest);
}

/** Nodes by degree; a node may stand under degrees that it had before. */
class Degrees {
  private readonly nodes: number[][] = [];
  private from = 0;

  constructor(count: number) {
    for (let degree = 0; degree < count; degree++) this.nodes.push([]);
  }

  put(node: number, degree: number): void {
    this.nodes[degree]!.push(node);
    if (degree < this.from) this.from = degree;
  }

  /** Takes a node of the least degree. */
  least(joined: readonly Set<number>[], position: Int32Array): readonly [number, number] {
    for (;;) {
      const node = this.nodes[this.from]!.pop();
      if (node === undefined) this.from++;
      else if (position[node] === -1 && joined[node]!.size === this.from) return [node, this.from];
    }
  }
}

/** Puts the nodes that are left, each joined to all others, at the end of the order. */
function takeRest(
  joined: readonly Set<number>[],
  order: Int32Array,
  position: Int32Array,
  fronts: (readonly number[])[],
  gone: number,
): void {
  const rest: number[] = [];
  for (let node = 1; node < joined.length; node++) if (position[node] === -1) rest.push(node);
  for (const [index, node] of rest.entries()) {
    order[gone + index] = node;
    position[node] = gone + index;
    fronts[node] = rest.slice(index + 1);
  }
}

const sorted = (
  order: Int32Array,
  position: Int32Array,
  fronts: readonly (readonly number[])[],
  widest: number,
): Elimination => ({
  order,
  position,
  front: fronts.map((met) => Int32Array.from(met).sort((a, b) => position[a]! - position[b]!)),
  widest,
});
