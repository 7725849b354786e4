'use client';
import { figureUnits, lengthUnit } from '@/ui/units/shown';
import dynamic from 'next/dynamic';
import { useCallback, useMemo } from 'react';
import type { PreviewLeg } from '@/core/navigation/preview';
import { generalPace } from '@/core/survey/log-state';
import type { Solution, SolvedLeg } from '@/core/survey/solution';
import { legNear } from '@/sketch/paths';
import { namedIn, sceneOf, scenePoints, type Scene } from '@/sketch/scene';
import { gridOf } from '@/sketch/grid';
import { upOf } from '@/sketch/orientation';
import { fitView, viewTransform, type Size } from '@/sketch/view';
import type { WayEnds } from '../way-home-strip';
import { WORDS } from '../words';
import { HomeLine, homeDrawing } from './home-line';
import { arrowsBox, arrowsFoot, NorthArrows } from '@/views/shared/sketch/north-arrows';
import { Names } from '@/views/shared/sketch/names';
import { Preview, SelectedLeg, Walked } from './route';
import {
  GroundDrawn,
  GroundNote,
  groundOfView,
  GroundTools,
  useGround,
  type Ground,
} from '@/views/shared/sketch/ground';
import { ScaleBar, scaleBox } from '@/views/shared/sketch/scale-bar';
import { useSketchChoices, type SketchChoices } from './sketch-choices';
import styles from './sketch-pane.module.css';
import { driftTransform, useDrawn, useMovedViews, type MovedViews } from './use-drawn';
import { SketchTools } from './sketch-tools';
import { Uncertainty } from './uncertainty';
import { Surface, useSurface } from '@/views/shared/sketch/surface';
import type { KeyActions } from '@/views/shared/sketch/view-keys';

const WalksCloud = dynamic(() => import('./walks-cloud').then((it) => it.WalksCloud), {
  ssr: false,
});

const FINGER_PIXELS = 22;
/** Names of a log with fewer legs are placed at every step of a pan. */
const LEAST_LEGS_TO_WAIT = 200;

interface Props {
  solution: Solution;
  /** The selected leg. */
  leg: SolvedLeg | null;
  preview: PreviewLeg | null;
  ends: WayEnds | null;
  /** The selected entry: its name is shown. */
  selected: number | null;
  /** Selects an entry of the log. */
  onSelect: (entry: number | null) => void;
}

/** The keys that select legs. */
const legKeys = (leg: number, legs: number, selectLeg: (leg: number) => void): KeyActions => ({
  PageDown: () => selectLeg(Math.min(legs, leg + 1)),
  PageUp: () => selectLeg(Math.max(Math.min(1, legs), leg - 1)),
  Escape: () => selectLeg(0),
});

/** The route as it was walked, with the way home across it. */
export function SketchPane(props: Props) {
  const { solution, leg, preview, ends, selected, onSelect } = props;
  const { legs } = solution;
  const [choices, choose] = useSketchChoices();
  const scene = useMemo(() => sceneOf(solution, figureUnits()), [solution]);
  const up = upOf(solution, choices.orientation);
  const toFit = useCallback(
    (size: Size) => fitView(scene, size, preview?.end ?? null, up),
    [scene, preview, up],
  );
  const surface = useSurface(toFit);
  const { view, size } = surface;
  const { origin, unit } = solution.places.frame;
  const ground = useGround(groundOfView(unit === 'metre' ? origin : null, view, size));
  const selectLeg = (wanted: number) => onSelect(wanted > 0 ? legs.leg(wanted).entry : null);
  const views = useMovedViews(view, legs.count > LEAST_LEGS_TO_WAIT);
  const parts = { solution, leg, preview, ends, scene, views, size, choices, selected, ground };
  return (
    <Surface
      surface={surface}
      label={WORDS.sketchLabel}
      toolsLabel={WORDS.sketchTools}
      under={<Base {...parts} />}
      onTap={(pixel) => selectLeg(legNear(scene, view, pixel, FINGER_PIXELS))}
      keys={legKeys(leg?.number ?? 0, legs.count, selectLeg)}
      tools={
        <>
          <SketchTools
            choices={choices}
            onChoose={(change) => {
              choose(change);
              if (change.orientation) surface.fit();
            }}
            canWalk={ends === null}
          />
          <GroundTools ground={ground} />
        </>
      }
      note={<GroundNote ground={ground} />}
      testId="sketch"
    >
      <Drawing {...parts} />
    </Surface>
  );
}

interface BaseProps extends Pick<Props, 'solution' | 'ends'> {
  scene: Scene;
  views: MovedViews;
  size: Size;
  choices: SketchChoices;
  ground: Ground;
}

type DrawingProps = Omit<Props, 'onSelect'> & BaseProps;

/** What lies under all else: the grid, the uncertainty and the route, as far as it is seen. */
function Base(props: BaseProps) {
  const { solution, ends, scene, choices, ground, size } = props;
  const { still, view, waits } = props.views;
  const drawn = useDrawn(scene, still, size);
  const grid = choices.grid ? gridOf(still, size, lengthUnit().metres) : null;
  return (
    <svg
      className={styles.base}
      aria-hidden="true"
      data-moves={waits || undefined}
      style={{ transform: driftTransform(still, view) }}
    >
      <GroundDrawn ground={ground} view={still} size={size} />
      <g transform={viewTransform(still)}>
        {grid && <path className={styles.gridLines} d={grid.path} data-testid="grid" />}
      </g>
      <Uncertainty solution={solution} view={still} ends={ends} />
      <g transform={viewTransform(still)}>
        {choices.walks && !ends && <WalksCloud solution={solution} />}
        <Walked scene={drawn} legs={solution.legs.count} />
      </g>
    </svg>
  );
}

/** What is over the route, from the back to the front. */
function Drawing(props: DrawingProps) {
  const { solution, leg, preview, ends, scene, views, size, choices, selected } = props;
  const { view, placed } = views;
  const { norths } = solution.places.frame;
  const home = useMemo(
    () => homeDrawing(solution, placed, ends, preview, size),
    [solution, placed, ends, preview, size],
  );
  const foot = useMemo(() => arrowsFoot(scenePoints(scene), placed, size), [scene, placed, size]);
  const named = useMemo(() => namedIn(scene), [scene]);
  const obstacles = useMemo(
    () => ({
      lines: home ? [[home.a, home.b] as const] : [],
      boxes: [arrowsBox(foot), scaleBox(size.height), ...(home?.plate ? [home.plate.box] : [])],
    }),
    [home, foot, size.height],
  );
  return (
    <>
      <g transform={viewTransform(view)}>
        <SelectedLeg leg={leg} />
        {preview && <Preview preview={preview} />}
      </g>
      <g transform={`translate(${view.x - placed.x} ${view.y - placed.y})`}>
        {home && <HomeLine drawing={home} />}
        <Names named={named} view={placed} obstacles={obstacles} size={size} selected={selected} />
      </g>
      <NorthArrows norths={norths} foot={foot} up={view.turn} />
      <ScaleBar
        view={view}
        height={size.height}
        paceMetres={generalPace(solution.end)}
        gridMetres={choices.grid ? gridOf(view, size, lengthUnit().metres).stepMetres : null}
      />
    </>
  );
}
