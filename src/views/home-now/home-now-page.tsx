import { useState } from 'react';
import { isThere, wayHome } from '@/core/navigation/ways/way';
import type { WayHome } from '@/core/navigation/ways/ways-home';
import { stationMarks } from '@/core/survey/station-marks';
import { stationName, type Solution } from '@/core/survey/solution';
import { isInPaces } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import { backToLog, ViewPage } from '@/views/shared/page/view-page';
import { walkQuery } from '@/views/shared/ways/walk-query';
import { HomeAnswer } from '@/views/shared/ways/home-answer';
import { useWeighedWays } from '@/views/shared/ways/use-weighed-ways';
import { useWayChoices } from '@/views/shared/ways/way-choices';
import { WAY_NAMES, WAY_WORDS } from '@/views/shared/ways/words';
import { viewUrl } from '@/views/views';
import styles from './home-now.module.css';
import { WayChoice } from './way-choice';
import { lightLeftWords, WORDS } from './words';

/** One screen for the tired: what to set, how far, what to look out for, and one button. */
export function HomeNowPage({ solution }: { solution: Solution }) {
  const { outing } = solution;
  const [choices] = useWayChoices(outing.id);
  const weighed = useWeighedWays(solution, choices);
  const [kind, setKind] = useState<WayHome['kind']>('straight');
  const { ways, via, planning, minutes, best } = weighed;
  const chosen = (ways.find(({ way }) => way.kind === kind) ?? ways[0]).way;
  const isHome = isThere(wayHome(solution));
  const query = walkQuery(solution, chosen.kind, { ...choices, via });
  return (
    <ViewPage view="home-now" about={outing.name} back={backToLog(outing)} width="narrow" plain>
      <HomeAnswer solution={solution} way={chosen} />
      {solution.leaving !== solution.current && <p>{WORDS.leaves(...endsOf(solution))}</p>}
      {!isHome && <p className={styles.caution}>{WORDS.caution}</p>}
      <Landmarks solution={solution} />
      {!isHome && (
        <>
          <p data-testid="light">
            {lightLeftWords(planning)} {isInPaces() && WAY_WORDS.needsPace}
          </p>
          <a className={styles.walk} href={viewUrl('walk', outing.id, query)}>
            {kind === 'straight' ? WORDS.walk : WORDS.walkBy(WAY_NAMES[chosen.kind])}
          </a>
          {ways.length > 1 && (
            <fieldset className={styles.ways}>
              <legend>{WORDS.ways}</legend>
              {ways.map((each) => (
                <WayChoice
                  key={each.way.kind}
                  weighed={each}
                  minutes={minutes(each.way)}
                  isBest={!isInPaces() && best.kind === each.way.kind}
                  isChosen={each.way === chosen}
                  onChoose={() => setKind(each.way.kind)}
                />
              ))}
            </fieldset>
          )}
        </>
      )}
      <nav className={styles.more} aria-label={WORDS.more}>
        <a href={viewUrl('way-home', outing.id)}>{WORDS.toWayHome}</a>
        <a href={viewUrl('counter', outing.id)}>{WORDS.toCounter}</a>
      </nav>
    </ViewPage>
  );
}

/** What tells that one is back. */
function Landmarks({ solution }: { solution: Solution }) {
  const { outing, current } = solution;
  const found = stationMarks(solution);
  const marks = outing.entries.flatMap((entry) => (entry.kind === 'landmark' ? [entry.what] : []));
  const atHome = [...marks, found.get(0)].filter((mark) => mark !== undefined).map(visibleText);
  const here = current === 0 ? undefined : found.get(current);
  return (
    <>
      {atHome.length > 0 && (
        <p data-testid="landmarks">
          {WORDS.landmarks} <b>{atHome.join('; ')}</b>
        </p>
      )}
      {here !== undefined && <p data-testid="mark-here">{WORDS.markHere(visibleText(here))}</p>}
    </>
  );
}

/** Where one is, and where the next leg leaves from. */
const endsOf = (solution: Solution): [string, string] => [
  visibleText(stationName(solution, solution.current)),
  visibleText(stationName(solution, solution.leaving)),
];
