import { useMemo } from 'react';
import { detectionChance } from '@/core/errors/detection';
import { within95 } from '@/core/errors/ellipse';
import { improvements } from '@/core/navigation/improvements';
import { placeOnMap, positionError } from '@/core/navigation/position-error';
import { contributions, sharesOf } from '@/core/navigation/uncertainty-sources';
import { stationName, type Solution } from '@/core/survey/solution';
import { isInPaces } from '@/ui/units/shown';
import type { Metres } from '@/core/units/units';
import { Section } from '@/views/shared/page/view-page';
import { chanceWords } from '@/views/shared/ways/words';
import { viewUrl } from '@/views/views';
import { improvementWords, sourceWords } from './source-words';
import styles from './way-home.module.css';
import { WORDS } from './words';
import { visibleText } from '@/core/units/visible';
import layout from '@/views/shared/page/layout.module.css';

const MOST_SHOWN = 6;
/** A source with less than this share is not worth a line. */
const LEAST_SHARE = 0.005;
const MOST_IMPROVEMENTS = 3;

interface Props {
  solution: Solution;
  sight: Metres;
}

/** How far off the straight way may end, and how likely home is then in sight. */
export function HowSure({ solution, sight }: Props) {
  const { current, places } = solution;
  const error = positionError(solution, current, 0);
  return (
    <Section id="sure" title={WORDS.sure}>
      <p className={styles.sentence} data-testid="sure">
        {WORDS.within(within95(error), visibleText(stationName(solution, 0)))}.{' '}
        {!isInPaces() && WORDS.seen(sight, chanceWords(detectionChance(error, sight)))}
      </p>
      {places.frame.north === 'true' && (
        <p className={layout.soft}>{WORDS.onMap(placeOnMap(solution, current).semiMajorMetres)}</p>
      )}
      <Sources solution={solution} />
    </Section>
  );
}

/** Where the uncertainty at home comes from, by what causes it, and what would help most. */
function Sources({ solution }: { solution: Solution }) {
  const { current } = solution;
  const shares = useMemo(() => sharesOf(contributions(solution, current, 0)), [solution, current]);
  const helps = useMemo(() => improvements(solution, current, 0), [solution, current]);
  const now = within95(positionError(solution, current, 0));
  return (
    <>
      <h3>{WORDS.sources}</h3>
      <ul className={styles.shares} data-testid="shares">
        {shares
          .filter(({ share }) => share >= LEAST_SHARE)
          .slice(0, MOST_SHOWN)
          .map((each) => (
            <li key={`${each.source} ${each.about}`}>
              <span style={{ '--share': each.share } as object}>{sourceWords(each)}</span>
              <b>{`${Math.round(100 * each.share)} %`}</b>
            </li>
          ))}
      </ul>
      <h3>{WORDS.helps}</h3>
      {helps.length === 0 ? (
        <p className={layout.soft}>{WORDS.nothingHelps}</p>
      ) : (
        <ul data-testid="helps">
          {helps.slice(0, MOST_IMPROVEMENTS).map((each, index) => (
            <li key={index}>
              {improvementWords(each)}: {WORDS.comesDown(now, each.within95Metres)}
            </li>
          ))}
        </ul>
      )}
      <p className={layout.soft}>
        {WORDS.cancels}{' '}
        <a className={styles.link} href={viewUrl('uncertainty', solution.outing.id)}>
          {WORDS.yourErrors}
        </a>
      </p>
    </>
  );
}
