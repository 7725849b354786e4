'use client';
import { useSearchParams } from 'next/navigation';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { useCount } from '@/views/shared/data/use-count';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { PlainPage } from '@/views/shared/page/plain-page';
import { CounterPage } from './counter-page';
import type { CounterProps } from './count/use-counter';
import { WORDS } from './words';

/** The pace counter of the outing that the address names. */
export function Counter() {
  const search = useSearchParams();
  const { state, add, settled } = useCount(search.get('id') ?? '');
  const found = useNamedSolution();
  if (!('solution' in found)) return <PlainPage {...found} />;
  if (state.status === 'unavailable')
    return <PlainPage words={STORE_MESSAGES[state.fault]} alert />;
  if (state.status === 'loading') return <PlainPage words={WORDS.loading} />;
  return (
    <CounterPage
      solution={found.solution}
      count={state.count}
      follow={search.get('follow') ?? ''}
      wanted={wantedTarget(search)}
      add={add}
      settled={settled}
      run={found.open.run}
      undo={found.open.undo}
    />
  );
}

/** How far the address says to count, and to what; null where it doesn't. */
function wantedTarget(search: URLSearchParams): CounterProps['wanted'] {
  const metres = Number(search.get('metres'));
  return metres > 0 && Number.isFinite(metres)
    ? { metres, name: search.get('to') ?? WORDS.target }
    : null;
}
