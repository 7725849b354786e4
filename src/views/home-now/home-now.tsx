'use client';
import { useSearchParams } from 'next/navigation';
import { lastOuting } from '@/store/last-home';
import { modelsNeeded } from '@/views/shared/data/use-earth-models';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { PlainPage } from '@/views/shared/page/plain-page';
import { HomeNowPage } from './home-now-page';

/**
 * Home now for the outing of the address; without one, for the outing that was open last. It checks
 * nothing, so that it loads no more than the way home needs.
 */
export function HomeNow() {
  const id = useSearchParams().get('id') ?? lastOuting() ?? '';
  const found = useNamedSolution(id, modelsNeeded);
  return 'solution' in found ? <HomeNowPage solution={found.solution} /> : <PlainPage {...found} />;
}
