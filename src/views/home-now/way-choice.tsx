import type { WeighedWay } from '@/core/navigation/ways/recommendation';
import { chanceWords, WAY_NAMES } from '@/views/shared/ways/words';
import styles from './home-now.module.css';
import { distanceText, isInPaces } from '@/ui/units/shown';
import { WORDS } from './words';

interface Props {
  weighed: WeighedWay;
  minutes: number;
  isBest: boolean;
  isChosen: boolean;
  onChoose: () => void;
}

/** One of the ways: how long, how sure, and whether it would end in the dark. */
export function WayChoice({ weighed, minutes, isBest, isChosen, onChoose }: Props) {
  const { way, chance, arrivesInTheDark } = weighed;
  return (
    <label className={styles.way} data-way={way.kind}>
      <input type="radio" name="way" checked={isChosen} onChange={onChoose} />
      <span>
        <b>{WAY_NAMES[way.kind]}</b>
        {isBest && <em> {WORDS.best}</em>}
        <br />
        {isInPaces()
          ? distanceText(way.metres)
          : WORDS.figures(distanceText(way.metres), Math.round(minutes), chanceWords(chance))}
        {arrivesInTheDark && !isInPaces() && <b className={styles.dark}> {WORDS.dark}</b>}
      </span>
    </label>
  );
}
