'use client';
import { useSearchParams } from 'next/navigation';
import { STORE_WORDS } from '@/ui/store-words';
import { PlainPage } from '@/views/shared/plain-page';
import { useCount } from '@/views/shared/use-count';
import { useNamedSolution } from '@/views/shared/use-solution';
import { CounterPage } from './counter-page';
import { WORDS } from './words';

/** The counter of the outing that the address names. */
export function Counter() {
  const search = useSearchParams();
  const { state, add } = useCount(search.get('id') ?? '');
  const found = useNamedSolution();
  if (!('solution' in found)) return <PlainPage {...found} />;
  if (state.status === 'unavailable') return <PlainPage words={STORE_WORDS[state.fault]} alert />;
  if (state.status === 'loading') return <PlainPage words={WORDS.loading} />;
  return (
    <CounterPage
      solution={found.solution}
      count={state.count}
      hold={search.get('hold') ?? ''}
      add={add}
      run={found.open.run}
    />
  );
}
