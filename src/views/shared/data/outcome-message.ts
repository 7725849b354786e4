import { faultMessage } from '@/core/faults/messages';
import type { Outcome } from '@/store/outing-session';
import { STORE_MESSAGES } from '@/ui/store-messages';

/** Why a change was not made; null when it was saved. */
export function outcomeMessage(outcome: Outcome): string | null {
  if (outcome.kind === 'saved') return null;
  return outcome.kind === 'refused' ? faultMessage(outcome.fault) : STORE_MESSAGES[outcome.fault];
}
