import { useEffect, useState } from 'react';
import type { Fault } from '@/core/faults/fault';

/** What is wrong, in words; null while they are loaded, and where nothing is. */
export function useFaultWords(fault: Fault | null): string | null {
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
