import { useEffect, useState } from 'react';
import type { Fault } from '@/core/faults/fault';

/** What is wrong, in words; null while they are loaded, and where nothing is. */
export function useFaultWords(fault: Fault | null): string | null {
  const [told, setTold] = useState<{ readonly fault: Fault; readonly words: string } | null>(null);
  useEffect(() => {
    if (!fault) return;
    let gone = false;
    void import('@/core/faults/messages').then(({ faultMessage }) => {
      if (!gone) setTold({ fault, words: faultMessage(fault) });
    });
    return () => {
      gone = true;
    };
  }, [fault]);
  return told !== null && told.fault === fault ? told.words : null;
}
