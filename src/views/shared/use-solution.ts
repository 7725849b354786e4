'use client';
import { useSearchParams } from 'next/navigation';
import { faultWords } from '@/core/fault-words';
import type { Solution } from '@/core/solve';
import { STORE_WORDS } from '@/ui/store-words';
import { useOuting, type OpenOuting } from './use-outing';

const LOADING = 'Opening the log…';
const MISSING = 'There is no such outing on this device.';

/** The outing that the address names, worked out; or the plain word that stands in its way. */
export function useNamedSolution():
  | { readonly solution: Solution; readonly open: OpenOuting }
  | { readonly words: string; readonly alert: boolean } {
  const open = useOuting(useSearchParams().get('id') ?? '');
  const { state, solved } = open;
  if (state.status === 'missing') return { words: MISSING, alert: false };
  if (state.status === 'unavailable') return { words: STORE_WORDS[state.fault], alert: true };
  if (!solved) return { words: LOADING, alert: false };
  if (solved.ok) return { solution: solved.value, open };
  const { fault } = solved.fault;
  const loading = fault.code === 'model-not-loaded';
  return { words: loading ? LOADING : faultWords(fault), alert: !loading };
}
