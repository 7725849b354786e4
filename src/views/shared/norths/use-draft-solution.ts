import { useMemo } from 'react';
import { warningsOf } from '@/core/checks';
import { faultWords } from '@/core/fault-words';
import type { Header, Outing } from '@/core/logbook';
import type { North } from '@/core/north';
import { canUseEarthModels } from '@/core/norths-of';
import { solve } from '@/core/solve';
import { whatChanged } from '@/core/what-changed';
import { useEarthModels } from '@/views/shared/use-earth-models';
import { changeWords, northsSentence } from './words';

/** What a set-up would come to, in words, before it is saved. */
export interface DraftOutlook {
  readonly sentence: string | null;
  readonly change: string | null;
  readonly warnings: readonly string[];
  readonly fault: string | null;
}

/** Works out an outing under another header; nothing is saved. */
export function useDraftOutlook(outing: Outing, header: Header | null, read: North): DraftOutlook {
  const drafted = useMemo(
    () => (header ? { ...header, id: outing.id, entries: outing.entries } : null),
    [outing, header],
  );
  const models = useEarthModels(drafted !== null && canUseEarthModels(drafted));
  return useMemo(() => {
    const nothing = { sentence: null, change: null, warnings: [], fault: null };
    if (!drafted) return nothing;
    const after = solve(drafted, models);
    if (!after.ok) {
      const { fault } = after.fault;
      return fault.code === 'model-not-loaded' ? nothing : { ...nothing, fault: faultWords(fault) };
    }
    const before = solve(outing, models);
    const change =
      before.ok && outing.entries.some(({ kind }) => kind === 'leg')
        ? whatChanged(before.value, after.value)
        : null;
    return {
      sentence: northsSentence(after.value.norths, read, drafted.show.north),
      change: change && changeWords(change),
      warnings: warningsOf(after.value)
        .filter(({ at }) => 'header' in at)
        .map(({ message }) => message),
      fault: null,
    };
  }, [drafted, models, outing, read]);
}
