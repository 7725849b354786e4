'use client';
import { useMemo } from 'react';
import type { Ellipse } from '@/core/errors/ellipse';
import { compareWalk } from '@/core/practice/walk/compare';
import type { WalkedLeg } from '@/core/practice/walk/walker';
import type { Solution } from '@/core/survey/solution';
import { bearingDigits } from '@/core/units/angle';
import type { PlanePoint } from '@/core/units/plane';
import type { CountryDrawing } from '@/sketch/country-scene';
import { onScreen, type View } from '@/sketch/view';
import type { KeptWalk } from '@/core/practice/walk/kept-walk';
import { PressButton } from '@/ui/controls/press-button';
import { Section } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import page from '../exercise/exercise.module.css';
import { CountryMap } from '../scenes/country-map';
import { useCountryDrawing } from '../use-trainer';
import { WORDS } from '../words';
import styles from './truth.module.css';

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
  const [major, minor] = [ellipse.semiMajorMetres, ellipse.semiMinorMetres];
  return (
    <Section id="truth" title={WORDS.result}>
      <div className={page.columns}>
        <CountryMap
          drawing={drawing}
          shows={shown}
          over={(view) => (
            <>
              <Track view={view} points={walked} kind="walked" />
              <Track view={view} points={logged} kind="logged" />
              <Around view={view} point={logged.at(-1)!} ellipse={ellipse} />
            </>
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
          <p className={page.soft}>{WORDS.missingLegs(legs.length, solution.legs.count)}</p>
          <p className={page.soft}>{WORDS.truthOnMap}</p>
          <div className={page.actions}>
            <PressButton href={viewUrl('outing', walk.outing)}>{WORDS.openLog}</PressButton>
          </div>
        </div>
      </div>
    </Section>
  );
}

interface AroundProps {
  view: View;
  point: PlanePoint;
  ellipse: Ellipse;
}

/** The ellipse of the log, around the place where it ends. */
function Around({ view, point, ellipse }: AroundProps) {
  const { x, y } = onScreen(view, point);
  return (
    <ellipse
      className={styles.ellipse}
      rx={ellipse.semiMinorMetres * view.k}
      ry={ellipse.semiMajorMetres * view.k}
      transform={`translate(${x} ${y}) rotate(${ellipse.azimuthDegrees - view.turn})`}
    />
  );
}

interface TrackProps {
  view: View;
  points: readonly PlanePoint[];
  kind: 'walked' | 'logged';
}

const Track = ({ view, points, kind }: TrackProps) => (
  <polyline
    className={styles[kind]}
    data-testid={`track-${kind}`}
    points={points
      .map((point) => onScreen(view, point))
      .map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`)
      .join(' ')}
  />
);
