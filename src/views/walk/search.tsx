'use client';
import { Button, Radio } from 'antd';
import { useMemo, useState } from 'react';
import { threeDigits } from '@/core/angle';
import { missCovariance } from '@/core/home';
import { converted } from '@/core/north';
import { searchPattern, type Pattern, type SearchLeg } from '@/core/search-pattern';
import type { Solution } from '@/core/solve';
import { azimuthAcross } from '@/core/ways-home';
import { NumberField } from '@/views/shared/number-field';
import styles from './walk.module.css';
import { WORDS } from './words';

const USUAL_SIGHT_METRES = 25;
const HALF = 150;

/** A search worked out from the doubt and the range of sight, leg by leg, with the chance covered so far. */
export function Search({ solution, onStop }: { solution: Solution; onStop: () => void }) {
  const [pattern, setPattern] = useState<Pattern>('square');
  const [sight, setSight] = useState(USUAL_SIGHT_METRES);
  const legs = useMemo(() => {
    const { east, north } = solution.traverse;
    const at = solution.current;
    const heading = Math.round(azimuthAcross(-east[at]!, -north[at]!));
    return searchPattern(pattern, missCovariance(solution, at, 0), sight, heading);
  }, [solution, pattern, sight]);
  const shown = solution.outing.show.north;
  const bearing = ({ bearingDegrees }: SearchLeg) =>
    converted({ degrees: bearingDegrees, north: solution.working }, shown, solution.norths)
      ?.degrees ?? bearingDegrees;
  const pace = solution.end.paceLength;
  const k =
    HALF /
    Math.max(1, ...legs.flatMap(({ east, north }) => [Math.abs(east), Math.abs(north)])) /
    1.15;
  const path = legs
    .map(({ east, north }) => `L${(east * k).toFixed(1)} ${(-north * k).toFixed(1)}`)
    .join('');
  return (
    <section aria-labelledby="search" className={styles.search}>
      <h2 id="search">{WORDS.searchTitle}</h2>
      <p>{WORDS.searchHow}</p>
      <Radio.Group
        aria-label={WORDS.pattern}
        value={pattern}
        onChange={(event) => setPattern(event.target.value as Pattern)}
        optionType="button"
        buttonStyle="solid"
        options={[
          { value: 'square', label: WORDS.square },
          { value: 'sector', label: WORDS.sector },
        ]}
      />
      <NumberField
        id="search-sight"
        label={WORDS.sight}
        value={sight}
        least={1}
        most={5000}
        onChange={setSight}
      />
      <svg
        viewBox={`${-HALF} ${-HALF} ${2 * HALF} ${2 * HALF}`}
        className={styles.pattern}
        aria-hidden="true"
      >
        <path d={`M0 0${path}`} />
        <circle r="5" />
      </svg>
      <ol className={styles.passes} data-testid="search">
        {legs.map((leg, index) => (
          <li key={index}>
            <b>{threeDigits(bearing(leg))}</b>, {Math.round(leg.metres)} m
            {Number.isNaN(pace) ? '' : `: ${Math.round(leg.metres / pace)} paces`} ·{' '}
            {WORDS.covered(Math.round(100 * leg.covered))}
          </li>
        ))}
      </ol>
      <Button onClick={onStop}>{WORDS.stop}</Button>
    </section>
  );
}
