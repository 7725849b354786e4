'use client';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { PlainPage } from '@/views/shared/page/plain-page';
import { WalkPage } from './walk-page';

/** Walking home in the outing that the address names. */
export function WalkHome() {
  const found = useNamedSolution();
  return 'solution' in found ? (
    <WalkPage solution={found.solution} run={found.open.run} />
  ) : (
    <PlainPage {...found} />
  );
}
