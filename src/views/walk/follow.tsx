import { useMemo } from 'react';
import { NORTH_WORDS } from '@/core/entries/describe';
import { passedFeatures } from '@/core/navigation/ways/passed-features';
import { stationMarks } from '@/core/survey/station-marks';
import { stationName, type Solution } from '@/core/survey/solution';
import { Section } from '@/views/shared/page/view-page';
import { passedWords } from '@/views/shared/ways/passed-words';
import type { Walk } from './use-walk';
import styles from './walk.module.css';
import { bearingText, distanceText, isInPaces } from '@/ui/units/shown';
import { backBearing } from '@/core/units/angle';
import { offAfter } from '@/core/navigation/position-error';
import { Helps } from '@/views/shared/ways/helps';
import { HELP_WORDS } from '@/views/shared/ways/help-words';
import { BigBearing } from '@/views/shared/ways/big-bearing';
import { WORDS } from './words';

/** The bearing to follow on the stretch that is walked now, and how far. */
export function Follow({ solution, walk: { stage, follow } }: { solution: Solution; walk: Walk }) {
  const { along, distanceMetres, name, paces, target, toLine } = stage;
  const mark = useMemo(() => stationMarks(solution).get(target ?? -1), [solution, target]);
  const metres = distanceText(distanceMetres);
  return (
    <section className={styles.strip} aria-label={WORDS.follow}>
      {along && <p className={styles.sentence}>{WORDS.turn(along.turn)}</p>}
      <p className={styles.figure} data-testid="follow">
        <BigBearing degrees={follow.degrees} />
      </p>
      <p>{NORTH_WORDS[follow.north]}</p>
      {mark && target !== null && <p data-testid="mark-there">{WORDS.markThere(name, mark)}</p>}
      <p className={styles.sentence} data-testid="left">
        {toLine ? WORDS.toLine(metres, paces) : WORDS.left(metres, paces, name)}
      </p>
      {along && <p>{WORDS.atMost(distanceText(along.mostMetres))}</p>}
    </section>
  );
}

/** What was seen on the way out, in the order in which it is passed on the way back. */
export function Passes({ solution, walk }: { solution: Solution; walk: Walk }) {
  const { target } = walk.stage;
  const passed = useMemo(
    () => (target === null ? [] : passedFeatures(solution, solution.current, target)),
    [solution, target],
  );
  return (
    <Section id="passes" title={WORDS.passes}>
      {passed.length === 0 ? (
        <p className={styles.soft}>{WORDS.nothing}</p>
      ) : (
        <ol className={styles.passes} data-testid="passes">
          {passed.map((each) => (
            <li key={each.what + each.alongMetres}>{passedWords(each, walk.means.paceMetres)}</li>
          ))}
        </ol>
      )}
    </Section>
  );
}

/** What helps when the mark is lost, or the needle no longer believed. */
export function WalkHelps({
  solution,
  walk: { stage, follow },
}: {
  solution: Solution;
  walk: Walk;
}) {
  const { distanceMetres } = stage;
  const facts = isInPaces()
    ? []
    : [HELP_WORDS.after(distanceMetres, offAfter(solution, distanceMetres))];
  return (
    <Helps
      bearing={bearingText(follow.degrees)}
      back={bearingText(backBearing(follow.degrees))}
      facts={facts}
    />
  );
}

/** At home: by the log, and how well it closes. */
export function Arrived({ solution }: { solution: Solution }) {
  const place = stationName(solution, 0);
  const closure = solution.closures.findLast(({ station }) => station === place);
  return (
    <section className={styles.strip}>
      <p className={styles.sentence}>{WORDS.arrived(place)}</p>
      {closure && (
        <p data-testid="closed">
          {WORDS.closed(closure.metres, (100 * closure.ofWalked).toFixed(1))}
        </p>
      )}
    </section>
  );
}
