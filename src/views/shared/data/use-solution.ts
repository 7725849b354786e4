'use client';
import { useSearchParams } from 'next/navigation';
import type { Solution } from '@/core/survey/solution';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { SHARED_WORDS } from '@/views/shared/words/words';
import type { modelsUsed } from './use-earth-models';
import { useOuting, type OpenOuting } from './use-outing';
import { useEffect, useState } from 'react';
import type { Fault } from '@/core/faults/fault';

/** What is wrong, in words; null while they are loaded, and where nothing is. */
function useFaultWords(fault: Fault | null): string | null {
  const [found, setFound] = useState<{ readonly fault: Fault; readonly words: string } | null>(
    null,
  );
  useEffect(() => {
    if (!fault) return;
    let gone = false;
    void import('@/core/faults/messages').then(({ faultMessage }) => {
      if (!gone) setFound({ fault, words: faultMessage(fault) });
    });
    return () => {
      gone = true;
    };
  }, [fault]);
  return found !== null && found.fault === fault ? found.words : null;
}

/** The outing of the address (or another), solved; or the message on why it can't be shown. */
export function useNamedSolution(
  id?: string,
  wanted?: typeof modelsUsed,
):
  | { readonly solution: Solution; readonly open: OpenOuting }
  | { readonly words: string; readonly alert: boolean } {
  const named = useSearchParams().get('id') ?? '';
  const open = useOuting(id ?? named, wanted);
  const { session, solved } = open;
  const fault = solved && !solved.ok ? solved.fault.fault : null;
  const faultWords = useFaultWords(fault?.code === 'model-not-loaded' ? null : fault);
  if (session.status === 'missing') return { words: SHARED_WORDS.missing, alert: false };
  if (session.status === 'unavailable') {
    return { words: STORE_MESSAGES[session.fault], alert: true };
  }
  if (!solved) return { words: SHARED_WORDS.loadingLog, alert: false };
  if (solved.ok) return { solution: solved.value, open };
  return faultWords === null
    ? { words: SHARED_WORDS.loadingLog, alert: false }
    : { words: faultWords, alert: true };
}
