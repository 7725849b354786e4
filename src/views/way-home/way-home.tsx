'use client';
import { PlainPage } from '@/views/shared/plain-page';
import { useNamedSolution } from '@/views/shared/use-solution';
import { WayHomePage } from './way-home-page';

/** The way home of the outing that the address names, weighed. */
export function WayHome() {
  const found = useNamedSolution();
  return 'solution' in found ? <WayHomePage solution={found.solution} /> : <PlainPage {...found} />;
}
