import { useDeferredValue, useMemo } from 'react';
import { thousandArrivals } from '@/core/errors/arrivals';
import { straightWalk } from '@/core/navigation/simulated-walk';
import { asWalked, type Solution } from '@/core/survey/solution';
import styles from './sketch-pane.module.css';
import { nth } from '@/core/units/nth';

/** Where 1,000 simulated walks home end, as dots in metres around the start, y downward. */
export function WalksCloud({ solution }: { solution: Solution }) {
  // A long log takes longer than a frame to simulate: typing goes first.
  const settled = useDeferredValue(solution);
  const dots = useMemo(() => {
    if (settled.current === 0) return '';
    const ends = thousandArrivals(straightWalk(asWalked(settled)));
    let path = '';
    for (let i = 0; i < ends.length; i += 2) {
      path += `M${nth(ends, i).toFixed(1)} ${(-nth(ends, i + 1)).toFixed(1)}h0`;
    }
    return path;
  }, [settled]);
  return <path className={styles.walks} d={dots} data-testid="walks-cloud" />;
}
