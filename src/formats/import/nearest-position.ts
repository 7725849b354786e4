import { around } from 'geokdbush';
import KDBush from 'kdbush';
import type { Position } from '../../core/readings/position';
import { nth } from '../../core/units/nth';

const keyOf = ({ latitude, longitude }: Position) => `${latitude} ${longitude}`;

/**
 * A finder of the position nearest to another on the globe, by its index; the first of equal ones.
 * A tree, so that each search costs the logarithm of how many there are.
 */
export function nearestPosition(positions: readonly Position[]): (to: Position) => number {
  const firstAt = new Map<string, number>();
  for (const [index, position] of positions.entries()) {
    const key = keyOf(position);
    if (!firstAt.has(key)) firstAt.set(key, index);
  }
  const tree = new KDBush(firstAt.size);
  for (const index of firstAt.values()) {
    tree.add(nth(positions, index).longitude, nth(positions, index).latitude);
  }
  tree.finish();
  const indices = [...firstAt.values()];
  return (to) => {
    // At a position itself no search: there the distances of the tree are rounded.
    const same = firstAt.get(keyOf(to));
    return same ?? nth(indices, nth(around(tree, to.longitude, to.latitude, 1), 0));
  };
}
