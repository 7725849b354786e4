import { useCallback, useMemo } from 'react';
import { interpretLine, type Interpretation } from '@/core/log-text/interpret';
import type { Solution } from '@/core/survey/solution';
import { loadSurveyTools, useSurveyTools } from '@/views/shared/data/use-survey-tools';

const waitsForTools = (found: Interpretation) =>
  found.kind === 'fault' && found.fault.code === 'model-not-loaded';

/** How a line is read; a place by a grid waits for what reads grids, which few lines need. */
export function useInterpretation(text: string, place: Solution) {
  const plain = useMemo(() => interpretLine(text, place), [text, place]);
  const tools = useSurveyTools(waitsForTools(plain));
  const found = useMemo(
    () => (tools && waitsForTools(plain) ? interpretLine(text, place, tools) : plain),
    [plain, text, place, tools],
  );
  const waits = waitsForTools(found);
  /** The same once all that reads it is there: Enter may be quicker than what is loaded. */
  const settled = useCallback(
    async (): Promise<Interpretation> =>
      waits ? interpretLine(text, place, await loadSurveyTools()) : found,
    [waits, found, text, place],
  );
  return { found, settled };
}
