'use client';
import { faultWords } from '@/core/fault-words';
import { setUpOuting, type SetUp } from '@/core/edit/set-up';
import { STORE_WORDS } from '@/ui/store-words';
import { PlainPage } from '@/views/shared/plain-page';
import { useEarthModels } from '@/views/shared/use-earth-models';
import { useNamedSolution } from '@/views/shared/use-solution';
import { NorthsPage } from './norths-page';

/** The norths of the outing that the address names. */
export function Norths() {
  const found = useNamedSolution();
  const placed = 'solution' in found && found.solution.outing.start.position !== undefined;
  const models = useEarthModels(placed);
  if (!('solution' in found)) return <PlainPage {...found} />;
  const save = async (setUp: SetUp): Promise<string | null> => {
    const outcome = await found.open.run(setUpOuting(setUp));
    if (outcome.kind === 'saved') return null;
    return outcome.kind === 'refused' ? faultWords(outcome.fault) : STORE_WORDS[outcome.fault];
  };
  return <NorthsPage solution={found.solution} models={models} onSave={save} />;
}
