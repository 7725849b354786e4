'use client';
import { useCallback } from 'react';
import { blindWalkOf } from '@/store/practice/blind-walks';
import { useLive } from '@/ui/use-live';
import { PressButton } from '@/ui/controls/press-button';
import { browserDatabase } from '@/store/browser-database';
import { viewUrl } from '@/views/views';
import { WORDS } from '../words';

/** From the log of a blind walk back to the walk; nothing for any other outing. */
export function WalkLink({ outing }: { outing: string }) {
  const live = useLive(useCallback(() => blindWalkOf(browserDatabase(), outing), [outing]));
  if (!live || !('value' in live) || !live.value) return null;
  return (
    <PressButton href={viewUrl('practice', undefined, { walk: outing })}>
      {live.value.isOver ? WORDS.seeWalk : WORDS.toWalk}
    </PressButton>
  );
}
