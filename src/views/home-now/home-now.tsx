'use client';
import { useSearchParams } from 'next/navigation';
import { lastOuting } from '@/store/last-home';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { PlainPage } from '@/views/shared/page/plain-page';
import { HomeNowPage } from './home-now-page';

/** Home now for the outing of the address; without one, for the outing that was open last. */
export function HomeNow() {
  const id = useSearchParams().get('id') ?? lastOuting() ?? '';
  const found = useNamedSolution(id);
  return 'solution' in found ? <HomeNowPage solution={found.solution} /> : <PlainPage {...found} />;
}
