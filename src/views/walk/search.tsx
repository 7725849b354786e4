'use client';
import { Button, Radio } from 'antd';
import { useMemo, useState } from 'react';
import { positionError } from '@/core/navigation/position-error';
import {
  searcherErrors,
  searchPattern,
  type SearchLeg,
  type SearchPattern,
} from '@/core/navigation/search-pattern';
import { NORTH_WORDS } from '@/core/entries/describe';
import type { OutingNorths } from '@/core/north/outing-norths';
import { fromEachNorth, shownBearing } from '@/core/north/norths';
import { northShown, type Solution } from '@/core/survey/solution';
import { ORIGIN } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';
import { LengthField } from '@/views/shared/fields/unit-fields';
import { NO_LAYER, type Layer } from '@/sketch/layer';
import { StillDrawing } from '@/views/shared/sketch/still-drawing';
import { useOnce } from '@/views/shared/data/use-once';
import { Section } from '@/views/shared/page/view-page';
import { USUAL_SIGHT_METRES } from '@/views/shared/words/words';
import type { Address } from './use-address';
import { countInUnit, type Walk } from './use-walk';
import styles from './walk.module.css';
import { bearingText } from '@/ui/units/shown';
import { WORDS } from './words';

interface Props {
  solution: Solution;
  walk: Walk;
  address: Address;
}

/** The search that an address tells of: made where it began, whatever was logged since. */
function useSearch({ solution, address }: Props, sight: number) {
  const { query } = address;
  const pattern: SearchPattern = query.get('pattern') === 'sector' ? 'sector' : 'square';
  const began = Number(query.get('search'));
  const legs = useMemo(() => {
    const known = solution.places.stations().includes(began);
    const from = known ? began : solution.current;
    const heading = from > 0 ? Math.round(solution.legs.leg(from).bearingDegrees) : 0;
    const error = positionError(solution, from, 0);
    return searchPattern(pattern, error, sight, heading, searcherErrors(solution));
  }, [solution, began, pattern, sight]);
  const walked = Math.min(legs.length, Number(query.get('walked')) || 0);
  return { pattern, legs, walked };
}

/**
 * A search made for the uncertainty and the range of sight, given that home was not in sight when
 * it began. Each leg is logged as it is walked, so that the place is never lost.
 */
export function Search(props: Props) {
  const { solution, walk, address } = props;
  const [sight, setSight] = useState(USUAL_SIGHT_METRES);
  const { pattern, legs, walked } = useSearch(props, sight);
  const { frame } = solution.places;
  const [walkedLeg] = useOnce(async ({ bearingDegrees, metres }: SearchLeg) => {
    const bearing = shownFrom(solution, bearingDegrees);
    const logged = await walk.logLeg(bearing, countInUnit(metres, walk.unit, walk.means));
    if (logged) address.change({ walked: String(walked + 1) });
  });
  const next = legs[walked];
  return (
    <Section id="search" title={WORDS.searchTitle}>
      <div className={styles.search}>
        <p>{WORDS.searchHow}</p>
        <Radio.Group
          aria-label={WORDS.pattern}
          value={pattern}
          onChange={(event) => address.change({ pattern: event.target.value as string })}
          disabled={walked > 0}
          optionType="button"
          buttonStyle="solid"
          options={[
            { value: 'square', label: WORDS.square },
            { value: 'sector', label: WORDS.sector },
          ]}
        />
        <LengthField
          id="search-sight"
          label={WORDS.sight}
          metres={sight}
          leastMetres={1}
          mostMetres={5000}
          onChange={setSight}
        />
        {next ? (
          <>
            <NextLeg leg={next} number={walked + 1} solution={solution} walk={walk} />
            <Button type="primary" className={styles.wide} onClick={() => walkedLeg(next)}>
              {WORDS.walkedLeg(walked + 1)}
            </Button>
          </>
        ) : (
          <p className={styles.sentence}>{WORDS.allWalked}</p>
        )}
        <PatternDrawing
          legs={legs}
          walked={walked}
          north={NORTH_WORDS[frame.north]}
          norths={frame.norths}
        />
        <SearchLegs legs={legs} walked={walked} solution={solution} walk={walk} />
        <Button onClick={() => address.change({ search: null, pattern: null, walked: null })}>
          {WORDS.stop}
        </Button>
      </div>
    </Section>
  );
}

/** A bearing from the frame's north as the outing shows bearings. */
const shownFrom = (solution: Solution, degrees: Degrees) => {
  const { frame } = solution.places;
  const each = fromEachNorth({ degrees, north: frame.north }, frame.norths);
  return shownBearing(each, northShown(solution));
};

interface NextProps {
  leg: SearchLeg;
  number: number;
  solution: Solution;
  walk: Walk;
}

/** The leg to walk now, as large as the walk home was. */
function NextLeg({ leg, number, solution, walk: { means } }: NextProps) {
  const { degrees, north } = shownFrom(solution, leg.bearingDegrees);
  const paces = means.paceMetres === null ? null : leg.metres / means.paceMetres;
  return (
    <section className={`${styles.strip} ${styles.wide}`} aria-label={WORDS.legNow(number)}>
      <p>{WORDS.legNow(number)}</p>
      <p className={styles.figure} data-testid="search-next">
        {bearingText(degrees)}
      </p>
      <p>{NORTH_WORDS[north]}</p>
      <p className={styles.sentence}>{WORDS.legLength(leg.metres, paces)}</p>
    </section>
  );
}

interface LegsProps {
  legs: readonly SearchLeg[];
  walked: number;
  solution: Solution;
  walk: Walk;
}

/** The legs of the pattern: what to set, how far, and how likely home is found by then. */
const SearchLegs = ({ legs, walked, solution, walk: { means } }: LegsProps) => (
  <ol className={styles.passes} data-testid="search">
    {legs.map(({ bearingDegrees, metres, found }, index) => (
      <li key={index} data-walked={index < walked}>
        {WORDS.searchLeg(
          bearingText(shownFrom(solution, bearingDegrees).degrees),
          metres,
          means.paceMetres === null ? null : metres / means.paceMetres,
        )}
        {' · '}
        {WORDS.found(Math.round(100 * found))}
      </li>
    ))}
  </ol>
);

interface DrawingProps {
  legs: readonly SearchLeg[];
  walked: number;
  north: string;
  norths: OutingNorths;
}

/** The pattern, what is walked of it and where it begins; north is up. */
function PatternDrawing({ legs, walked, north, norths }: DrawingProps) {
  const layers = useMemo((): Layer[] => {
    const ends = [ORIGIN, ...legs.map(({ end }) => end)];
    return [
      {
        ...NO_LAYER,
        lines: [
          { kind: 'aim', points: ends.slice(walked) },
          { kind: 'leg', points: ends.slice(0, walked + 1) },
        ],
        marks: [{ key: 'begin', kind: 'point', text: '', ...ORIGIN }],
      },
    ];
  }, [legs, walked]);
  return (
    <StillDrawing
      layers={layers}
      side={300}
      margin={16}
      label={WORDS.patternDrawn(north)}
      className={styles.pattern}
      norths={norths}
    />
  );
}
