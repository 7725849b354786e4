import { useState } from 'react';
import type { Sender } from '@/core/navigation/message';
import { keepTyped } from '@/store/keep-choice';
import { keptObject } from '@/store/kept-choice';

export const SENDER_FIELDS = ['name', 'party', 'need'] as const;

const KEY = 'cairn-sender';

function remembered(): Sender {
  const kept = keptObject(KEY);
  const text = (field: keyof Sender) => (typeof kept[field] === 'string' ? kept[field] : '');
  return { name: text('name'), party: text('party'), need: text('need') };
}

/** Who sends a message and what they need, kept on the device. */
export function useSender(): readonly [Sender, (sender: Sender) => void] {
  const [sender, setSender] = useState(remembered);
  const keep = (next: Sender) => {
    setSender(next);
    keepTyped(KEY, JSON.stringify(next));
  };
  return [sender, keep];
}
