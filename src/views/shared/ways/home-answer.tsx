import { NORTH_WORDS } from '@/core/entries/describe';
import { isThere } from '@/core/navigation/ways/way';
import type { WayHome } from '@/core/navigation/ways/ways-home';
import { declinationScaleMark } from '@/core/north/conversion-sum';
import { correctionOf } from '@/core/north/outing-norths';
import { stationName, type Solution } from '@/core/survey/solution';
import { signedDifference } from '@/core/units/angle';
import type { North } from '@/core/units/bearing';
import { adjustedSentence } from '@/views/shared/words/method-words';
import { BigBearing } from './big-bearing';
import { homeWords, stretchFigures } from './home-words';
import styles from './home-answer.module.css';
import { WAY_WORDS } from './words';

interface Props {
  solution: Solution;
  way: WayHome;
}

/** What to set on the compass and how far to walk, on the first stretch of a way home. */
export function HomeAnswer({ solution, way }: Props) {
  const [first] = way.stretches;
  const place = stationName(solution, 0);
  if (!first || isThere(first)) {
    return (
      <section className={styles.answer} aria-label={WAY_WORDS.label}>
        <p className={styles.sentence} data-testid="answer-walk">
          {WAY_WORDS.arrived(place)}
        </p>
      </section>
    );
  }
  const target = way.aim ? WAY_WORDS.theLine : (first.to ?? place);
  const aimedAt = way.aim ? target : place;
  const figures = stretchFigures(solution, first, target, aimedAt, way.within95Metres);
  const needle = needleWords(solution, figures.north);
  const { walk, to, sure } = homeWords(figures);
  return (
    <section className={styles.answer} aria-label={WAY_WORDS.label}>
      <p className={styles.bearing}>
        <span className={styles.figure} data-testid="answer-bearing">
          <BigBearing degrees={figures.degrees} />
        </span>
        <span className={styles.north}>{NORTH_WORDS[figures.north]}</span>
      </p>
      {needle && (
        <p className={styles.needle} data-testid="needle">
          {needle}
        </p>
      )}
      <p className={styles.sentence} data-testid="answer-walk">
        {walk}
      </p>
      {figures.plain && (
        <p className={styles.to} data-testid="plain">
          {WAY_WORDS.plain(figures.plain)}
        </p>
      )}
      <p className={styles.to}>{to}</p>
      <p className={styles.sure}>{[sure, adjustedSentence(solution)].filter(Boolean).join('. ')}</p>
    </section>
  );
}

/** Nearer to N than this, the needle goes to N itself. */
const LEAST_MARK_DEGREES = 0.5;

/** Where the needle goes on a fixed declination scale; null for a compass without one. */
function needleWords({ outing, places }: Solution, north: North): string | null {
  if (correctionOf(outing) !== 'by-mark') return null;
  const mark = declinationScaleMark(north, places.frame.norths);
  const east = mark === null ? 0 : signedDifference(0, mark);
  return Math.abs(east) < LEAST_MARK_DEGREES ? null : WAY_WORDS.needleOn(east);
}
