import type { Traverse } from './traverse';

/**
 * Where the paths of two stations from the start part, in steps that grow with the logarithm of
 * the path: each point keeps one jump far back along it. Source: E. W. Myers, An applicative
 * random-access stack, Information Processing Letters 17 (1983) (memory).
 */
export class Forks {
  private readonly depth: Int32Array;
  private readonly jump: Int32Array;

  constructor(private readonly traverse: Pick<Traverse, 'legs' | 'from'>) {
    const { legs, from } = traverse;
    const depth = new Int32Array(legs + 1);
    const jump = new Int32Array(legs + 1);
    // A leg leaves from a point with a smaller number, so that one pass fills both.
    for (let k = 1; k <= legs; k++) {
      const before = from[k]!;
      depth[k] = depth[before]! + 1;
      const near = jump[before]!;
      const far = jump[near]!;
      jump[k] = depth[before]! - depth[near]! === depth[near]! - depth[far]! ? far : before;
    }
    this.depth = depth;
    this.jump = jump;
  }

  /** The last point that the paths to both have in common. */
  of(a: number, b: number): number {
    const { depth, jump } = this;
    const { from } = this.traverse;
    let [low, high] = depth[a]! < depth[b]! ? [a, b] : [b, a];
    while (depth[high]! > depth[low]!) {
      high = depth[jump[high]!]! >= depth[low]! ? jump[high]! : from[high]!;
    }
    while (low !== high) {
      // Points of one depth have jumps of one length.
      if (jump[low] === jump[high]) [low, high] = [from[low]!, from[high]!];
      else [low, high] = [jump[low]!, jump[high]!];
    }
    return low;
  }
}
