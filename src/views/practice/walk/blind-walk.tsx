'use client';
import { useCallback } from 'react';
import type { KeptWalk } from '@/core/practice/walk/kept-walk';
import { blindWalkOf } from '@/store/practice/blind-walks';
import { useLive } from '@/ui/use-live';
import { browserDatabase } from '@/store/browser-database';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { PlainPage } from '@/views/shared/page/plain-page';
import { ViewPage } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import { useTrainer } from '../use-trainer';
import { WORDS } from '../words';
import { Truth } from './truth';
import { WalkOn } from './walk-on';

/** A walk in fog, by the outing in which it is logged. */
export function BlindWalkView({ outing }: { outing: string }) {
  const live = useLive(useCallback(() => blindWalkOf(browserDatabase(), outing), [outing]));
  if (!live) return <PlainPage words={WORDS.loading} />;
  if ('error' in live) return <PlainPage words={WORDS.failed} alert />;
  return live.value ? <OneWalk walk={live.value} /> : <PlainPage words={WORDS.noWalk} />;
}

function OneWalk({ walk }: { walk: KeptWalk }) {
  const asked = useTrainer(useCallback((remote) => remote.walked(walk), [walk]));
  const named = useNamedSolution(walk.outing);
  const about = WORDS.walkOf(walk.country);
  const back = { href: viewUrl('practice'), words: WORDS.toPractice };
  return (
    <ViewPage view="practice" about={about} back={back}>
      {asked.status === 'failed' && <p role="alert">{WORDS.failed}</p>}
      {walk.isOver && asked.status === 'ready' && (
        <Truth
          walk={walk}
          legs={asked.value}
          solution={'solution' in named ? named.solution : null}
        />
      )}
      {!walk.isOver && asked.status !== 'failed' && (
        <WalkOn walk={walk} legs={asked.status === 'ready' ? asked.value : null} />
      )}
    </ViewPage>
  );
}
