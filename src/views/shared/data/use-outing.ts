'use client';
import { useMemo, useSyncExternalStore } from 'react';
import type { Command } from '@/core/edit/command';
import { solve } from '@/core/survey/solve';
import { workIn } from '@/ui/units/shown';
import type { Kept } from '@/store/kept-choice';
import { OutingSession, type SessionState } from '@/store/outing-session';
import { browserDatabase } from '@/store/browser-database';
import { loadEarthModels, modelsUsed, useEarthModels } from '@/views/shared/data/use-earth-models';
import { isAdjusted, usesTools, useSurveyTools } from './use-survey-tools';
import { useLastHome } from './use-last-home';

const LOADING: SessionState = { status: 'loading' };

const outingState = (session: SessionState) => {
  if (session.status === 'ready') return session.state;
  return session.status === 'damaged' ? session.damage.state : null;
};

/**
 * An outing of this device, live across tabs: its state, its solution, and its changes. `wanted`
 * says which models of the earth are loaded: for its checks as well, or only for its solution.
 */
export function useOuting(id: string, wanted = modelsUsed) {
  const session = useMemo(() => new OutingSession(browserDatabase(), id), [id]);
  const status = useSyncExternalStore(session.subscribe, session.getState, () => LOADING);
  const state = outingState(status);
  const outing = state?.document ?? null;
  const models = useEarthModels(wanted(outing));
  const tools = useSurveyTools(usesTools(outing));
  const waits = tools === null && isAdjusted(outing);
  const solved = useMemo(
    () => (outing && !waits ? solve(outing, models, { tools }) : null),
    [outing, waits, tools, models],
  );
  workIn(solved?.ok ? solved.value.places.frame.unit : 'metre');
  useLastHome(solved?.ok ? solved.value : null);
  return useMemo(
    () => ({
      session: status,
      state,
      solved,
      models,
      /** `kept` is written with the change, or not at all. */
      run: async (command: Command, kept: Kept | null = null) => {
        const outcome = await session.run(command, models, kept);
        const asksForModels =
          outcome.kind === 'refused' && outcome.fault.code === 'model-not-loaded';
        return asksForModels ? session.run(command, await loadEarthModels(), kept) : outcome;
      },
      undo: session.undo,
      redo: session.redo,
      history: session.history,
    }),
    [status, state, solved, models, session],
  );
}
export type OpenOuting = ReturnType<typeof useOuting>;
