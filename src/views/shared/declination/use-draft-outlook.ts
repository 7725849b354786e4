import { figureUnits } from '@/ui/units/shown';
import { useMemo } from 'react';
import { headerWarnings } from '@/core/checks';
import { isLeg } from '@/core/entries/entry';
import { faultMessage } from '@/core/faults/messages';
import type { Header } from '@/core/model/header';
import type { Outing } from '@/core/model/outing';
import { northsChange } from '@/core/navigation/norths-change';
import type { EarthModels } from '@/core/north/earth-models';
import { solve } from '@/core/survey/solve';
import type { North } from '@/core/units/bearing';
import type { SurveyTools } from '@/core/survey/solution';
import { modelsUsed, useEarthModels } from '@/views/shared/data/use-earth-models';
import { usesTools, useSurveyTools } from '@/views/shared/data/use-survey-tools';
import { changeWords, declinationSentence } from './words';

/** What settings would do, in words, before they are saved. */
export interface DraftOutlook {
  readonly sentence: string | null;
  readonly change: string | null;
  readonly warnings: readonly string[];
  readonly fault: string | null;
}

const NOTHING: DraftOutlook = { sentence: null, change: null, warnings: [], fault: null };

function outlookOf(
  outing: Outing,
  drafted: Outing,
  read: North,
  models: EarthModels | null,
  tools: SurveyTools | null,
): DraftOutlook {
  const after = solve(drafted, models, { tools });
  if (!after.ok) {
    const { fault } = after.fault;
    return fault.code === 'model-not-loaded' ? NOTHING : { ...NOTHING, fault: faultMessage(fault) };
  }
  const before = outing.entries.some(isLeg) ? solve(outing, models, { tools }) : null;
  const change = before?.ok ? northsChange(before.value, after.value) : null;
  const { norths } = after.value.places.frame;
  return {
    sentence: declinationSentence(norths, read, drafted.show.north),
    change: change && changeWords(change),
    warnings: headerWarnings(after.value, figureUnits()).map(({ message }) => message),
    fault: null,
  };
}

/** The outlook of an outing under another header; nothing is saved. */
export function useDraftOutlook(outing: Outing, header: Header | null, read: North): DraftOutlook {
  const drafted = useMemo(
    () => (header ? { ...header, id: outing.id, entries: outing.entries } : null),
    [outing, header],
  );
  const models = useEarthModels(modelsUsed(drafted));
  const tools = useSurveyTools(usesTools(drafted) || usesTools(outing));
  return useMemo(
    () => (drafted ? outlookOf(outing, drafted, read, models, tools) : NOTHING),
    [drafted, models, tools, outing, read],
  );
}
