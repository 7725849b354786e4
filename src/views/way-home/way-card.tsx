import { Radio } from 'antd';
import type { WayHome } from '@/core/navigation/ways/ways-home';
import type { North } from '@/core/units/bearing';
import { isInPaces } from '@/ui/units/shown';
import type { Metres } from '@/core/units/units';
import type { Solution } from '@/core/survey/solution';
import { chanceByMarks } from '@/core/navigation/ways/by-marks';
import { alongWords, chanceWords, stretchWords, WAY_NAMES } from '@/views/shared/ways/words';
import styles from './way-home.module.css';
import { WORDS } from './words';

/** Of many stretches, the first few are written out and the rest counted. */
const MOST_SHOWN = 4;

interface Props {
  solution: Solution;
  way: WayHome;
  /** Chance that home comes within sight. */
  chance: number;
  isChosen: boolean;
  onChoose: () => void;
  sight: Metres;
  north: North;
  minutes: number;
  /** When one would be there, on the clock of the place. */
  arrives: string;
  isDark: boolean;
}

/** One of the ways home: its stretches, how sure, how long, and how likely home is then seen. */
export function WayCard(props: Props) {
  const { way, chance, isChosen, onChoose, sight, north, minutes, arrives, isDark } = props;
  const byMarks = way.kind === 'retrace' ? chanceByMarks(props.solution, sight) : null;
  const { aim, stretches, within95Metres } = way;
  const rest = stretches.length - MOST_SHOWN;
  return (
    <li data-way={way.kind} data-chosen={isChosen}>
      <h3>
        <Radio checked={isChosen} onChange={onChoose} name="way">
          {WAY_NAMES[way.kind]}
        </Radio>
      </h3>
      <ol className={styles.stretches}>
        {stretches.slice(0, MOST_SHOWN).map((stretch, index) => (
          <li key={index}>
            {aim && index > 0 ? alongWords(aim, stretch.to) : stretchWords(stretch, north)}
          </li>
        ))}
        {rest > 0 && <li>{WORDS.moreStretches(rest)}</li>}
      </ol>
      <p>
        {WORDS.wayFigures(way, within95Metres)}
        {!isInPaces() && WORDS.wayTime(minutes, arrives)}
        {isDark && !isInPaces() && <b className={styles.warning}> {WORDS.dark}</b>}
      </p>
      {!isInPaces() && (
        <p data-testid="way-chance">{WORDS.wayChance(sight, chanceWords(chance))}</p>
      )}
      {byMarks && !isInPaces() && (
        <p data-testid="by-marks">
          {WORDS.byMarks(
            byMarks.last,
            chanceWords(byMarks.chance),
            byMarks.hardest,
            chanceWords(byMarks.hardestChance),
          )}
        </p>
      )}
    </li>
  );
}
