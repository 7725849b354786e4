'use client';
import { PlainPage } from '@/views/shared/plain-page';
import { useNamedSolution } from '@/views/shared/use-solution';
import { WalkPage } from './walk-page';

/** Walking home by the outing that the address names. */
export function WalkHome() {
  const found = useNamedSolution();
  return 'solution' in found ? (
    <WalkPage solution={found.solution} run={found.open.run} />
  ) : (
    <PlainPage {...found} />
  );
}
