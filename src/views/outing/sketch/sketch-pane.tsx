'use client';
import { figureUnits, lengthUnit } from '@/ui/units/shown';
import dynamic from 'next/dynamic';
import { useMemo, useRef, useCallback, type MouseEvent } from 'react';
import type { PreviewLeg } from '@/core/navigation/preview';
import { generalPace } from '@/core/survey/log-state';
import type { Solution, SolvedLeg } from '@/core/survey/solution';
import { legNear } from '@/sketch/paths';
import { sceneOf, type Scene } from '@/sketch/scene';
import { gridOf } from '@/sketch/grid';
import { upOf } from '@/sketch/orientation';
import { fitView, viewTransform, type Size } from '@/sketch/view';
import type { WayEnds } from '../way-home-strip';
import { WORDS } from '../words';
import { HomeLine, homeDrawing } from './home-line';
import { arrowsBox, arrowsFoot, NorthArrows } from '@/views/shared/sketch/north-arrows';
import { Names } from '@/views/shared/sketch/names';
import { Preview, SelectedLeg, Walked } from './route';
import { ScaleBar, scaleBox } from '@/views/shared/sketch/scale-bar';
import { useSketchChoices, type SketchChoices } from './sketch-choices';
import styles from './sketch-pane.module.css';
import { driftTransform, useDrawn, useMovedViews, type MovedViews } from './use-drawn';
import { SketchTools } from './sketch-tools';
import { Uncertainty } from './uncertainty';
import { useView, type ViewControls } from '@/views/shared/sketch/use-view';
import { onKeyOf, viewKeys, type KeyActions } from '@/views/shared/sketch/view-keys';

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

/** What the keys of the sketch do. */
const keyActions = (
  controls: ViewControls,
  leg: number,
  legs: number,
  selectLeg: (leg: number) => void,
): KeyActions => ({
  ...viewKeys(controls),
  PageDown: () => selectLeg(Math.min(legs, leg + 1)),
  PageUp: () => selectLeg(Math.max(Math.min(1, legs), leg - 1)),
  Escape: () => selectLeg(0),
});

/** The route as it was walked, with the way home across it. */
export function SketchPane(props: Props) {
  const { solution, leg, preview, ends, selected, onSelect } = props;
  const { legs } = solution;
  const svg = useRef<SVGSVGElement>(null);
  const [choices, choose] = useSketchChoices();
  const scene = useMemo(() => sceneOf(solution, figureUnits()), [solution]);
  const up = upOf(solution, choices.orientation);
  const toFit = useCallback(
    (size: Size) => fitView(scene, size, preview?.end ?? null, up),
    [scene, preview, up],
  );
  const controls = useView(svg, toFit);
  const { view, size } = controls;
  const selectLeg = (wanted: number) => onSelect(wanted > 0 ? legs.leg(wanted).entry : null);
  const onClick = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const pixel = { x: event.clientX - box.left, y: event.clientY - box.top };
    selectLeg(legNear(scene, view, pixel, FINGER_PIXELS));
  };
  const views = useMovedViews(view, legs.count > LEAST_LEGS_TO_WAIT);
  const parts = { solution, leg, preview, ends, scene, views, size, choices, selected };
  return (
    <div className={styles.pane}>
      <div className={styles.sheet}>
        {size.width > 0 && <Base {...parts} />}
        <svg
          ref={svg}
          className={styles.sketch}
          role="application"
          aria-label={WORDS.sketchLabel}
          tabIndex={0}
          onClick={onClick}
          onKeyDown={onKeyOf(keyActions(controls, leg?.number ?? 0, legs.count, selectLeg))}
          data-testid="sketch"
        >
          {size.width > 0 && <Drawing {...parts} />}
        </svg>
      </div>
      <SketchTools
        controls={controls}
        choices={choices}
        onChoose={(change) => {
          choose(change);
          if (change.orientation) controls.fit();
        }}
        canWalk={ends === null}
      />
    </div>
  );
}

interface BaseProps extends Pick<Props, 'solution' | 'ends'> {
  scene: Scene;
  views: MovedViews;
  size: Size;
  choices: SketchChoices;
}

type DrawingProps = Omit<Props, 'onSelect'> & BaseProps;

/** What lies under all else: the grid, the uncertainty and the route, as far as it is seen. */
function Base({ solution, ends, scene, choices, views: { still, view, waits }, size }: BaseProps) {
  const drawn = useDrawn(scene, still, size);
  const grid = choices.grid ? gridOf(still, size, lengthUnit().metres) : null;
  return (
    <svg
      className={styles.base}
      aria-hidden="true"
      data-moves={waits || undefined}
      style={{ transform: driftTransform(still, view) }}
    >
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
  const foot = useMemo(() => arrowsFoot(scene, placed, size), [scene, placed, size]);
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
        <Names scene={scene} view={placed} obstacles={obstacles} size={size} selected={selected} />
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
