'use client';
import { Button, Radio } from 'antd';
import { useMemo, useState } from 'react';
import { positionError } from '@/core/navigation/position-error';
import {
  searchPattern,
  type SearchLeg,
  type SearchPattern,
} from '@/core/navigation/search-pattern';
import { fromEachNorth, shownBearing } from '@/core/north/norths';
import { generalPace } from '@/core/survey/log-state';
import { northShown, type Solution } from '@/core/survey/solution';
import { threeDigits } from '@/core/units/angle';
import { azimuthOf, boundsOf, ORIGIN, type PlanePoint } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';
import { NumberField } from '@/views/shared/fields/number-field';
import { Section } from '@/views/shared/page/view-page';
import { USUAL_SIGHT_METRES } from '@/views/shared/words/words';
import styles from './walk.module.css';
import { WORDS } from './words';

interface Props {
  solution: Solution;
  onStop: () => void;
}

/** A search made for the uncertainty and the range of sight, with the chance covered so far. */
export function Search({ solution, onStop }: Props) {
  const [pattern, setPattern] = useState<SearchPattern>('square');
  const [sight, setSight] = useState(USUAL_SIGHT_METRES);
  const { places, current, end } = solution;
  const legs = useMemo(() => {
    const heading = Math.round(azimuthOf(places.relative(current, 0)));
    return searchPattern(pattern, positionError(solution, current, 0), sight, heading);
  }, [solution, places, current, pattern, sight]);
  const pace = generalPace(end);
  const { frame } = places;
  const shown = (degrees: Degrees) =>
    shownBearing(
      fromEachNorth({ degrees, north: frame.north }, frame.norths),
      northShown(solution),
    );
  return (
    <Section id="search" title={WORDS.searchTitle}>
      <div className={styles.search}>
        <p>{WORDS.searchHow}</p>
        <Radio.Group
          aria-label={WORDS.pattern}
          value={pattern}
          onChange={(event) => setPattern(event.target.value as SearchPattern)}
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
        <PatternDrawing legs={legs} />
        <ol className={styles.passes} data-testid="search">
          {legs.map(({ bearingDegrees, metres, covered }, index) => (
            <li key={index}>
              {WORDS.searchLeg(
                threeDigits(shown(bearingDegrees).degrees),
                metres,
                pace === null ? null : metres / pace,
              )}
              {' · '}
              {WORDS.covered(Math.round(100 * covered))}
            </li>
          ))}
        </ol>
        <Button onClick={onStop}>{WORDS.stop}</Button>
      </div>
    </Section>
  );
}

/** Half the drawing's side, and how much of it the pattern fills. */
const HALF = 150;
const FILLED = 0.87;

/** The pattern as it will be walked, with the place where the walk ended in its middle. */
function PatternDrawing({ legs }: { legs: readonly SearchLeg[] }) {
  const ends = legs.map(({ end }) => end);
  const { west, east, south, north } = boundsOf([ORIGIN, ...ends]);
  const k = (FILLED * HALF) / Math.max(1, -west, east, -south, north);
  const pixel = (point: PlanePoint) =>
    `${(k * point.east).toFixed(1)} ${(-k * point.north).toFixed(1)}`;
  return (
    <svg
      viewBox={`${-HALF} ${-HALF} ${2 * HALF} ${2 * HALF}`}
      className={styles.pattern}
      aria-hidden="true"
    >
      <path d={`M${[ORIGIN, ...ends].map(pixel).join('L')}`} />
      <circle r="5" />
    </svg>
  );
}
