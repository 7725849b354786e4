'use client';
import { useSearchParams } from 'next/navigation';
import { faultWords } from '@/core/fault-words';
import { faultOf, setUpOuting, type SetUp } from '@/core/edit/commands';
import { STORE_WORDS } from '@/ui/store-words';
import { PlainPage } from '@/views/shared/plain-page';
import { useEarthModels } from '@/views/shared/use-earth-models';
import { useOuting } from '@/views/shared/use-outing';
import { NorthsPage } from './norths-page';
import { WORDS } from './words';

/** The norths of the outing that the address names. */
export function Norths() {
  const id = useSearchParams().get('id') ?? '';
  const { state, solved, page, run } = useOuting(id);
  const models = useEarthModels(page?.outing.start.position !== undefined);

  if (state.status === 'missing') return <PlainPage words={WORDS.missing} />;
  if (state.status === 'unavailable') return <PlainPage words={STORE_WORDS[state.fault]} alert />;
  if (!solved || !page) return <PlainPage words={WORDS.loading} />;
  if (!solved.ok) {
    const { fault } = solved.fault;
    return fault.code === 'model-not-loaded' ? (
      <PlainPage words={WORDS.loading} />
    ) : (
      <PlainPage words={faultWords(faultOf(fault))} alert />
    );
  }
  const save = async (setUp: SetUp): Promise<string | null> => {
    const outcome = await run(setUpOuting(setUp));
    if (outcome.kind === 'saved') return null;
    return outcome.kind === 'refused' ? faultWords(outcome.fault) : STORE_WORDS[outcome.fault];
  };
  return <NorthsPage solution={solved.value} models={models} onSave={save} />;
}
