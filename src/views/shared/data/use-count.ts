'use client';
import { useMemo, useSyncExternalStore } from 'react';
import { CountSession, type CountState } from '@/store/count-session';
import { browserDatabase } from '@/store/browser-database';

const LOADING: CountState = { status: 'loading' };

/** A count in progress on this device, durable tap by tap. */
export function useCount(id: string) {
  const session = useMemo(() => new CountSession(browserDatabase(), id), [id]);
  const state = useSyncExternalStore(session.subscribe, session.getState, () => LOADING);
  return useMemo(() => ({ state, add: session.add, settled: session.settled }), [state, session]);
}
