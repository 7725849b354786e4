'use client';
import { useState } from 'react';
import type { Command } from '@/core/edit/command';
import { isThere, wayHome } from '@/core/navigation/ways/way';
import { stationName, type Solution } from '@/core/survey/solution';
import { backToLog, ViewPage } from '@/views/shared/page/view-page';
import { USUAL_SIGHT_METRES } from '@/views/shared/words/words';
import type { Outcome } from '@/store/outing-session';
import { HomeMeansChoice } from './home-means';
import { HowSure } from './how-sure';
import { Message } from './message';
import { SimulatedWalks } from './simulated-walks';
import { useAiming } from './use-aiming';
import styles from './way-home.module.css';
import { Ways } from './ways';
import { WORDS } from './words';

interface Props {
  solution: Solution;
  run: (command: Command) => Promise<Outcome>;
}

/** How sure the way home is, the ways compared, and the words to send. */
export function WayHomePage({ solution, run }: Props) {
  const { outing } = solution;
  const [sight, setSight] = useState(USUAL_SIGHT_METRES);
  const aiming = useAiming(solution);
  return (
    <ViewPage view="way-home" about={outing.name} back={backToLog(outing)}>
      {isThere(wayHome(solution)) ? (
        <h2>{WORDS.atHome(stationName(solution, 0))}</h2>
      ) : (
        <>
          <div className={styles.columns}>
            <HowSure solution={solution} sight={sight} onSight={setSight} />
            <SimulatedWalks solution={solution} sight={sight} />
          </div>
          <HomeMeansChoice solution={solution} run={run} />
          <Ways solution={solution} sight={sight} aiming={aiming} />
        </>
      )}
      <Message solution={solution} />
      <p className={styles.caution}>{WORDS.caution}</p>
    </ViewPage>
  );
}
