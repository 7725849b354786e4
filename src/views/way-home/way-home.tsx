'use client';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { PlainPage } from '@/views/shared/page/plain-page';
import { WayHomePage } from './way-home-page';

/** The ways home of the outing that the address names. */
export function WayHomeView() {
  const found = useNamedSolution();
  return 'solution' in found ? (
    <WayHomePage solution={found.solution} run={found.open.run} />
  ) : (
    <PlainPage {...found} />
  );
}
