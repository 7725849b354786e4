import { useDeferredValue, useMemo } from 'react';
import { thousandArrivals, walkOf } from '@/core/monte-carlo';
import type { Solution } from '@/core/solve';
import styles from './sketch-leaf.module.css';

/** Where a thousand walks home would end, as dots in metres around the start, y downward. */
export function WalksCloud({ solution }: { solution: Solution }) {
  // A log of many legs takes longer than a frame to walk a thousand times: typing goes first.
  const settled = useDeferredValue(solution);
  const dots = useMemo(() => {
    const { current, traverse } = settled;
    if (current === 0) return '';
    const walk = walkOf(settled, -traverse.east[current]!, -traverse.north[current]!);
    const ends = thousandArrivals(walk);
    let path = '';
    for (let i = 0; i < ends.length; i += 2) {
      path += `M${ends[i]!.toFixed(1)} ${(-ends[i + 1]!).toFixed(1)}h0`;
    }
    return path;
  }, [settled]);
  return <path className={styles.cloud} d={dots} data-testid="walks-cloud" />;
}
