'use client';
import { useSearchParams } from 'next/navigation';
import { faultMessage } from '@/core/faults/messages';
import type { Solution } from '@/core/survey/solution';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { SHARED_WORDS } from '@/views/shared/words/words';
import { useOuting, type OpenOuting } from './use-outing';

/** The outing of the address (or another), solved; or the message on why it can't be shown. */
export function useNamedSolution(
  id?: string,
):
  | { readonly solution: Solution; readonly open: OpenOuting }
  | { readonly words: string; readonly alert: boolean } {
  const named = useSearchParams().get('id') ?? '';
  const open = useOuting(id ?? named);
  const { session, solved } = open;
  if (session.status === 'missing') return { words: SHARED_WORDS.missing, alert: false };
  if (session.status === 'unavailable') {
    return { words: STORE_MESSAGES[session.fault], alert: true };
  }
  if (!solved) return { words: SHARED_WORDS.loadingLog, alert: false };
  if (solved.ok) return { solution: solved.value, open };
  const { fault } = solved.fault;
  return fault.code === 'model-not-loaded'
    ? { words: SHARED_WORDS.loadingLog, alert: false }
    : { words: faultMessage(fault), alert: true };
}
