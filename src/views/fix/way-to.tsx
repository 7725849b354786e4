import { Select } from 'antd';
import { useState } from 'react';
import { markOf } from '@/core/navigation/fix/fix-here';
import { wayFromFix } from '@/core/navigation/fix/way-from';
import type { KnownPlace } from '@/core/model/known-place';
import { shownBearing } from '@/core/north/norths';
import type { EarthFix } from '@/core/survey/fix/on-earth';
import { northShown, type Solution } from '@/core/survey/solution';
import { bearingDigits } from '@/core/units/angle';
import { bearingText, lengthText, uncertaintyText } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import { PressButton } from '@/ui/controls/press-button';
import { viewUrl } from '@/views/views';
import styles from './fix.module.css';
import { WORDS } from './words';

interface Props {
  solution: Solution;
  found: EarthFix;
  known: readonly KnownPlace[];
  /** True where there is an outing whose counter can follow it. */
  counts: boolean;
}

/** The way from the fix to the start, or to any known place. */
export function WayTo({ solution, found, known, counts }: Props) {
  const [wanted, setWanted] = useState<string | null>(null);
  const { start } = solution.outing;
  const targets = [
    ...(start.position ? [{ id: START, name: start.name, position: start.position }] : []),
    ...known.map((place) => ({ id: place.id, ...markOf(place) })),
  ];
  const to = targets.find(({ id }) => id === wanted);
  const way = to && wayFromFix(solution, found, to);
  const bearing = way && shownBearing(way.bearing, northShown(solution));
  return (
    <div className={styles.wayTo}>
      <Select
        className={styles.select}
        aria-label={WORDS.wayTo}
        placeholder={WORDS.wayTo}
        showSearch={{ optionFilterProp: 'label' }}
        allowClear
        value={wanted}
        options={targets.map(({ id, name }) => ({ value: id, label: visibleText(name) }))}
        onChange={(value) => setWanted(value ?? null)}
      />
      {way && bearing && (
        <>
          <p className={styles.way} data-testid="way-words">
            {WORDS.wayWords(
              `${bearingText(bearing.degrees)} ${bearing.north}`,
              lengthText(way.distanceMetres),
              way.paces === null ? '' : ` (${Math.round(way.paces)} paces)`,
              uncertaintyText(way.within95Metres),
            )}
          </p>
          {counts && (
            <PressButton
              href={viewUrl('counter', solution.outing.id, {
                follow: bearingDigits(bearing.degrees),
                metres: way.distanceMetres.toFixed(0),
                to: way.to,
              })}
            >
              {WORDS.count}
            </PressButton>
          )}
        </>
      )}
    </div>
  );
}
const START = 'start of the outing';
