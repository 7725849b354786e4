'use client';
import { useSearchParams } from 'next/navigation';
import { faultWords } from '@/core/fault-words';
import { STORE_WORDS } from '@/ui/store-words';
import { PlainPage } from '@/views/shared/plain-page';
import { useCount } from '@/views/shared/use-count';
import { useOuting } from '@/views/shared/use-outing';
import { CounterPage } from './counter-page';
import { WORDS } from './words';

/** The counter of the outing that the address names. */
export function Counter() {
  const search = useSearchParams();
  const id = search.get('id') ?? '';
  const { state, solved, run } = useOuting(id);
  const count = useCount(id);
  if (state.status === 'missing') return <PlainPage words={WORDS.missing} />;
  if (state.status === 'unavailable') return <PlainPage words={STORE_WORDS[state.fault]} alert />;
  if (count.state.status === 'unavailable') {
    return <PlainPage words={STORE_WORDS[count.state.fault]} alert />;
  }
  if (!solved || count.state.status === 'loading') return <PlainPage words={WORDS.loading} />;
  if (!solved.ok) {
    const { fault } = solved.fault;
    const loading = fault.code === 'model-not-loaded';
    return <PlainPage words={loading ? WORDS.loading : faultWords(fault)} alert={!loading} />;
  }
  return (
    <CounterPage
      solution={solved.value}
      count={count.state.count}
      hold={search.get('hold') ?? ''}
      add={count.add}
      run={run}
    />
  );
}
