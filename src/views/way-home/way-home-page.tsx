'use client';
import type { Command } from '@/core/edit/command';
import { isThere, wayHome } from '@/core/navigation/ways/way';
import { stationName, type Solution } from '@/core/survey/solution';
import type { Outcome } from '@/store/outing-session';
import { backToLog, ViewPage } from '@/views/shared/page/view-page';
import { HomeAnswer } from '@/views/shared/ways/home-answer';
import { useWayChoices } from '@/views/shared/ways/way-choices';
import { useWeighedWays } from '@/views/shared/ways/use-weighed-ways';
import { HomeMeansChoice } from './home-means';
import { HowSure } from './how-sure';
import { Message } from './message';
import { MillionWalks } from './million-walks';
import { SimulatedWalks } from './simulated-walks';
import styles from './way-home.module.css';
import { useChosenWay, Ways } from './ways';
import { WORDS } from './words';
import { isInPaces } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  solution: Solution;
  run: (command: Command) => Promise<Outcome>;
}

/** The answer first, then the ways to choose from, then why, and the words to send. */
export function WayHomePage({ solution, run }: Props) {
  const { outing } = solution;
  const isHome = isThere(wayHome(solution));
  return (
    <ViewPage view="way-home" about={visibleText(outing.name)} back={backToLog(outing)}>
      {isHome ? (
        <h2>{WORDS.atHome(visibleText(stationName(solution, 0)))}</h2>
      ) : (
        <NotHome solution={solution} run={run} />
      )}
      <Message solution={solution} />
    </ViewPage>
  );
}

function NotHome({ solution, run }: Props) {
  const [choices, choose] = useWayChoices(solution.outing.id);
  const weighed = useWeighedWays(solution, choices);
  const [chosen, setChosen] = useChosenWay(weighed);
  const [straight] = weighed.ways;
  const { sight } = choices;
  return (
    <>
      <HomeAnswer solution={solution} way={straight.way} />
      <p className={styles.caution}>{WORDS.caution}</p>
      <Ways
        solution={solution}
        choices={choices}
        onChoose={choose}
        weighed={weighed}
        chosen={chosen}
        onWay={setChosen}
      />
      <HomeMeansChoice solution={solution} run={run} />
      <div className={layout.columns}>
        <HowSure solution={solution} sight={sight} />
        {isInPaces() ? null : solution.walked ? (
          <p className={layout.soft}>{WORDS.notSimulated}</p>
        ) : (
          <div>
            <SimulatedWalks solution={solution} sight={sight} />
            <MillionWalks
              solution={solution}
              sight={sight}
              straight={straight.way}
              chosen={chosen}
            />
          </div>
        )}
      </div>
    </>
  );
}
