import { detectionChance } from '@/core/errors/detection';
import { within95 } from '@/core/errors/ellipse';
import { placeOnMap, positionError } from '@/core/navigation/position-error';
import { roundUpToFive } from '@/core/navigation/rounding';
import { uncertaintyByLeg } from '@/core/navigation/uncertainty-shares';
import { stationName, type Solution } from '@/core/survey/solution';
import type { Metres } from '@/core/units/units';
import { NumberField } from '@/views/shared/fields/number-field';
import { Section } from '@/views/shared/page/view-page';
import styles from './way-home.module.css';
import { chanceWords, WORDS } from './words';

const MOST_LEGS_SHOWN = 6;
/** A leg with less than this share is not worth walking again. */
const WORTH_IMPROVING = 0.1;

interface Props {
  solution: Solution;
  sight: Metres;
  onSight: (metres: Metres) => void;
}

/** How far off the straight way may end, and how likely home is then in sight. */
export function HowSure({ solution, sight, onSight }: Props) {
  const { current, places } = solution;
  const error = positionError(solution, current, 0);
  return (
    <Section id="sure" title={WORDS.sure}>
      <p className={styles.sentence} data-testid="sure">
        {WORDS.within(roundUpToFive(within95(error)), stationName(solution, 0))}.{' '}
        {WORDS.seen(sight, chanceWords(detectionChance(error, sight)))}
      </p>
      <NumberField
        id="sight"
        label={WORDS.sightRange}
        value={sight}
        least={1}
        most={5000}
        onChange={onSight}
      />
      <p className={styles.soft}>{WORDS.cancels}</p>
      {places.frame.north === 'true' && (
        <p className={styles.soft}>
          {WORDS.onMap(roundUpToFive(placeOnMap(solution, current).semiMajorMetres))}
        </p>
      )}
      <Sources solution={solution} />
    </Section>
  );
}

/** What each leg and the walk home add, as shares of the variance. */
function Sources({ solution }: { solution: Solution }) {
  const legs = uncertaintyByLeg(solution);
  const [largest] = legs;
  const walkShare = 1 - legs.reduce((sum, { share }) => sum + share, 0);
  return (
    <>
      <h3>{WORDS.sources}</h3>
      <ul className={styles.shares} data-testid="shares">
        <Share words={WORDS.fromWalk} share={walkShare} />
        {legs.slice(0, MOST_LEGS_SHOWN).map(({ leg, share }) => (
          <Share
            key={leg.number}
            words={WORDS.fromLeg(leg.number, leg.reading.to ?? '')}
            share={share}
          />
        ))}
      </ul>
      {largest && largest.share > WORTH_IMPROVING && (
        <p className={styles.soft}>{WORDS.improve(largest.leg.number)}</p>
      )}
    </>
  );
}

const Share = ({ words, share }: { words: string; share: number }) => (
  <li>
    <span style={{ '--share': share } as object}>{words}</span>
    <b>{`${Math.round(100 * share)} %`}</b>
  </li>
);
