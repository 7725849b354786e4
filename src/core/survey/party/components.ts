import type { Node } from './stations';
import { nth } from '../../units/nth';

/** Sets of things that are joined, by their representatives. */
export class Joined {
  private readonly head: Int32Array;

  constructor(count: number) {
    this.head = Int32Array.from({ length: count }, (_, i) => i);
  }

  of(one: number): number {
    let at = one;
    while (this.head[at] !== at) {
      this.head[at] = nth(this.head, nth(this.head, at));
      at = nth(this.head, at);
    }
    return at;
  }

  /** Joins two; false where they were joined before. */
  join(a: number, b: number): boolean {
    const [one, other] = [this.of(a), this.of(b)];
    if (one === other) return false;
    this.head[Math.max(one, other)] = Math.min(one, other);
    return true;
  }
}

/** Which outings are joined by stations that they share, in groups. */
export function joinedParts(outings: number, nodes: readonly Node[]): number[][] {
  const joined = new Joined(outings);
  for (const { stations } of nodes) {
    for (const { outing } of stations) joined.join(nth(stations, 0).outing, outing);
  }
  const parts = new Map<number, number[]>();
  for (let outing = 0; outing < outings; outing++) {
    const head = joined.of(outing);
    parts.set(head, [...(parts.get(head) ?? []), outing]);
  }
  return [...parts.values()];
}
