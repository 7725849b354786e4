'use client';
import { useMemo, useSyncExternalStore } from 'react';
import type { Command } from '@/core/edit/command';
import { canUseEarthModels } from '@/core/norths-of';
import { solve } from '@/core/solve';
import { OutingSession, type SessionState } from '@/store/outing-session';
import { browserDatabase } from '@/views/shared/browser-store';
import { loadEarthModels, useEarthModels } from '@/views/shared/use-earth-models';

const LOADING: SessionState = { status: 'loading' };

/** An outing of this device, live across tabs: its page, its solution, and what can be done to it. */
export function useOuting(id: string) {
  const session = useMemo(() => new OutingSession(browserDatabase(), id), [id]);
  const state = useSyncExternalStore(session.subscribe, session.getState, () => LOADING);
  const page =
    state.status === 'ready' ? state.page : state.status === 'damaged' ? state.damage.page : null;
  const outing = page?.outing ?? null;
  const models = useEarthModels(outing !== null && canUseEarthModels(outing));
  const solved = useMemo(() => (outing ? solve(outing, models) : null), [outing, models]);
  return useMemo(
    () => ({
      state,
      page,
      solved,
      models,
      run: async (command: Command) => {
        const outcome = await session.run(command, models);
        const asksForModels =
          outcome.kind === 'refused' && outcome.fault.code === 'model-not-loaded';
        return asksForModels ? session.run(command, await loadEarthModels()) : outcome;
      },
      undo: session.undo,
      redo: session.redo,
      history: session.history,
    }),
    [state, page, solved, models, session],
  );
}
export type OpenOuting = ReturnType<typeof useOuting>;
