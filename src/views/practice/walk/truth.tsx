'use client';
import { useMemo } from 'react';
import { compareWalk } from '@/core/practice/walk/compare';
import type { WalkedLeg } from '@/core/practice/walk/walker';
import type { Solution } from '@/core/survey/solution';
import { bearingDigits } from '@/core/units/angle';
import type { CountryDrawing } from '@/sketch/country-scene';
import { NO_LAYER, type Layer } from '@/sketch/layer';
import type { KeptWalk } from '@/core/practice/walk/kept-walk';
import { PressButton } from '@/ui/controls/press-button';
import { ShapesDrawn } from '@/views/shared/sketch/layer-drawn';
import { Section } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import page from '../exercise/exercise.module.css';
import { CountryMap } from '../scenes/country-map';
import { useCountryDrawing } from '../use-trainer';
import { WORDS } from '../words';
import styles from './truth.module.css';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  walk: KeptWalk;
  legs: readonly WalkedLeg[];
  /** Of the log; null until it is read. */
  solution: Solution | null;
}

/** After the walk: the map, where one really was, and what the log says of it. */
export function Truth({ walk, legs, solution }: Props) {
  const asked = useCountryDrawing(walk.country);
  if (asked.status === 'failed') return <p role="alert">{WORDS.failed}</p>;
  if (asked.status !== 'ready' || !solution) return <p role="status">{WORDS.making}</p>;
  return <Compared walk={walk} legs={legs} solution={solution} drawing={asked.value} />;
}

interface ComparedProps extends Props {
  solution: Solution;
  drawing: CountryDrawing;
}

function Compared({ walk, legs, solution, drawing }: ComparedProps) {
  const compared = useMemo(
    () => compareWalk(walk, legs, solution, drawing.norths),
    [walk, legs, solution, drawing],
  );
  const { home, reckonedOff, ellipse, isInside, logged } = compared;
  const walked = useMemo(
    () => [walk.start, ...legs.flatMap(({ corners }) => corners.slice(1))],
    [walk, legs],
  );
  const shown = useMemo(() => [...walked, ...logged], [walked, logged]);
  const layers = useMemo((): Layer[] => {
    const end = logged.at(-1);
    const ellipses = end ? [{ kind: 'place' as const, ...end, ellipse }] : [];
    const lines = [
      { kind: 'leg' as const, points: walked },
      { kind: 'logged' as const, points: logged },
    ];
    return [{ ...NO_LAYER, ellipses, lines }];
  }, [walked, logged, ellipse]);
  const [major, minor] = [ellipse.semiMajorMetres, ellipse.semiMinorMetres];
  return (
    <Section id="truth" title={WORDS.result}>
      <div className={page.columns}>
        <CountryMap
          drawing={drawing}
          shows={shown}
          over={(view) => (
            <g className={styles.tracks} data-testid="tracks">
              <ShapesDrawn layers={layers} view={view} />
            </g>
          )}
        />
        <div data-testid="truth">
          <p className={page.asks}>
            {home.isInSight
              ? WORDS.homeFound(walk.startName, home.metres)
              : WORDS.homeMissed(walk.startName, home.metres, bearingDigits(home.magneticDegrees))}
          </p>
          {solution.legs.count > 0 && (
            <>
              <p>{WORDS.reckoned(reckonedOff)}</p>
              <p>
                {isInside ? WORDS.insideEllipse(major, minor) : WORDS.outsideEllipse(major, minor)}
              </p>
            </>
          )}
          <p className={layout.soft}>{WORDS.missingLegs(legs.length, solution.legs.count)}</p>
          <p className={layout.soft}>{WORDS.truthOnMap}</p>
          <div className={page.actions}>
            <PressButton href={viewUrl('outing', walk.outing)}>{WORDS.openLog}</PressButton>
          </div>
        </div>
      </div>
    </Section>
  );
}
