'use client';
import { Button, Radio } from 'antd';
import { useState, useMemo } from 'react';
import { positionErrorEllipse } from '@/core/navigation/position-error';
import { wayHome } from '@/core/navigation/ways/way';
import { shownBearing } from '@/core/north/norths';
import { northShown, stationName, type Solution } from '@/core/survey/solution';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { declinationSentence } from '@/views/shared/declination/words';
import { adjustedSentence } from '@/views/shared/words/method-words';
import { PlainPage } from '@/views/shared/page/plain-page';
import { backToWayHome } from '@/views/shared/page/view-page';
import { ViewHeader } from '@/views/shared/page/view-header';
import { viewTitle } from '@/views/views';
import { LogTable } from './log-table';
import { placeOnMap } from '@/views/shared/fields/grid-choice';
import styles from './print.module.css';
import { homeWords, WORDS } from './words';
import { visibleText } from '@/core/units/visible';
import { sheetOfOuting, sketchSvg } from '@/formats/svg';
import {
  GroundNote,
  groundOfView,
  GroundTools,
  useGround,
  type Ground,
} from '@/views/shared/sketch/ground';
import type { Layer } from '@/sketch/layer';

/** The route in black on white, as it is exported: for paper, where nothing can be zoomed. */
function PlainSketch({ solution, ground }: { solution: Solution; ground: readonly Layer[] }) {
  const svg = useMemo(() => sketchSvg(solution, ground), [solution, ground]);
  // The format writes every name as text.
  return <div dangerouslySetInnerHTML={{ __html: svg }} />;
}

const SIZES = [
  { value: 'a4', label: 'A4', blankLines: 6 },
  { value: 'a5', label: 'A5', blankLines: 4 },
] as const;
type Size = (typeof SIZES)[number];

/** The ground below the printed sketch: what heights draw of it, in the sketch's own view. */
function useGroundOfPrint(solution: Solution): Ground {
  const { origin, unit } = solution.places.frame;
  const { view, sheet } = useMemo(() => sheetOfOuting(solution), [solution]);
  return useGround(groundOfView(unit === 'metre' ? origin : null, view, sheet));
}

/** One page for when the screen dies: log, sketch, way home, cautions, and empty lines. */
export function Print() {
  const found = useNamedSolution();
  return 'solution' in found ? <PrintPage solution={found.solution} /> : <PlainPage {...found} />;
}

function PrintPage({ solution }: { solution: Solution }) {
  const [size, setSize] = useState<Size>(SIZES[0]);
  const { outing } = solution;
  const ground = useGroundOfPrint(solution);
  return (
    <div className={styles.page}>
      <div className={styles.screen}>
        <ViewHeader
          title={viewTitle('print')}
          about={visibleText(outing.name)}
          back={backToWayHome(outing)}
        />
        <nav className={styles.choices} aria-label={WORDS.printing}>
          <Radio.Group
            aria-label={WORDS.size}
            value={size.value}
            onChange={({ target }) =>
              setSize(SIZES.find(({ value }) => value === target.value) ?? SIZES[0])
            }
            optionType="button"
            buttonStyle="solid"
            options={SIZES.map(({ value, label }) => ({ value, label }))}
          />
          <GroundTools ground={ground} />
          <Button type="primary" onClick={() => window.print()}>
            {WORDS.print}
          </Button>
        </nav>
        <GroundNote ground={ground} />
      </div>
      <Sheet solution={solution} size={size} ground={ground.layers} />
    </div>
  );
}

interface SheetProps {
  solution: Solution;
  size: Size;
  ground: readonly Layer[];
}

function Sheet({ solution, size, ground }: SheetProps) {
  const { outing, places, end, current } = solution;
  const home = wayHome(solution);
  const { semiMajorMetres } = positionErrorEllipse(solution, current, 0);
  const landmarks = outing.entries.filter((entry) => entry.kind === 'landmark');
  const place = visibleText(stationName(solution, 0));
  const shown = shownBearing(home.bearing, northShown(solution));
  const day = [outing.date?.day, outing.date?.time].filter(Boolean).join(' ');
  const { norths } = places.frame;
  return (
    <main className={styles.sheet} data-size={size.value}>
      {/* The sheet's size is a matter of printing, and can only be set in a style of the page. */}
      <style>{`@page { size: ${size.label}; margin: 10mm; }`}</style>
      <h2>{visibleText(outing.name) || WORDS.untitled}</h2>
      <p>
        {[
          day,
          outing.start.position && `${place}: ${placeOnMap(outing.start.position)}`,
          declinationSentence(norths, end.readingNorth, northShown(solution)),
          adjustedSentence(solution),
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      <p className={styles.home}>{homeWords(home, shown, semiMajorMetres, place)}</p>
      {landmarks.length > 0 && (
        <p>{WORDS.landmarks(landmarks.map(({ what }) => visibleText(what)))}</p>
      )}
      <div className={styles.both}>
        <LogTable solution={solution} blankLines={size.blankLines} />
        <PlainSketch solution={solution} ground={ground} />
      </div>
      <p className={styles.small}>{WORDS.cautions}</p>
    </main>
  );
}
