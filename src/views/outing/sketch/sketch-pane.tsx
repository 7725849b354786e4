'use client';
import dynamic from 'next/dynamic';
import { useMemo, useRef, useCallback, type KeyboardEvent, type MouseEvent } from 'react';
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
import { arrowsBox, arrowsFoot, NorthArrows } from './north-arrows';
import { Names } from './names';
import { Preview, SelectedLeg, Walked } from './route';
import { ScaleBar, scaleBox } from './scale-bar';
import { useSketchChoices, type SketchChoices } from './sketch-choices';
import styles from './sketch-pane.module.css';
import { SketchTools, ZOOM_STEP } from './sketch-tools';
import { Uncertainty } from './uncertainty';
import { useView, type ViewControls } from './use-view';

const WalksCloud = dynamic(() => import('./walks-cloud').then((it) => it.WalksCloud), {
  ssr: false,
});

const FINGER_PIXELS = 22;
const PAN_PIXELS = 60;

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
function keyActions(
  { zoomBy, panBy, fit }: ViewControls,
  leg: number,
  legs: number,
  selectLeg: (leg: number) => void,
): Readonly<Record<string, () => void>> {
  return {
    '+': () => zoomBy(ZOOM_STEP),
    '=': () => zoomBy(ZOOM_STEP),
    '-': () => zoomBy(1 / ZOOM_STEP),
    '0': fit,
    ArrowLeft: () => panBy(PAN_PIXELS, 0),
    ArrowRight: () => panBy(-PAN_PIXELS, 0),
    ArrowUp: () => panBy(0, PAN_PIXELS),
    ArrowDown: () => panBy(0, -PAN_PIXELS),
    PageDown: () => selectLeg(Math.min(legs, leg + 1)),
    PageUp: () => selectLeg(Math.max(Math.min(1, legs), leg - 1)),
    Escape: () => selectLeg(0),
  };
}

/** Does what a key does, where it does anything. */
const onKeyOf = (actions: ReturnType<typeof keyActions>) => (event: KeyboardEvent) => {
  const act = event.ctrlKey || event.metaKey ? undefined : actions[event.key];
  if (!act) return;
  event.preventDefault();
  act();
};

/** The route as it was walked, with the way home across it. */
export function SketchPane(props: Props) {
  const { solution, leg, preview, ends, selected, onSelect } = props;
  const { legs } = solution;
  const svg = useRef<SVGSVGElement>(null);
  const [choices, choose] = useSketchChoices();
  const scene = useMemo(() => sceneOf(solution), [solution]);
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
  return (
    <div className={styles.pane}>
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
        {size.width > 0 && (
          <Drawing
            solution={solution}
            leg={leg}
            preview={preview}
            ends={ends}
            scene={scene}
            controls={controls}
            choices={choices}
            selected={selected}
          />
        )}
      </svg>
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

interface DrawingProps extends Omit<Props, 'onSelect'> {
  scene: Scene;
  controls: ViewControls;
  choices: SketchChoices;
}

/** The sketch itself, from the back to the front. */
function Drawing(props: DrawingProps) {
  const { solution, leg, preview, ends, scene, controls, choices, selected } = props;
  const { view, size } = controls;
  const { norths } = solution.places.frame;
  const home = useMemo(
    () => homeDrawing(solution, view, ends, preview, size),
    [solution, view, ends, preview, size],
  );
  const foot = useMemo(() => arrowsFoot(scene, view, size), [scene, view, size]);
  const furniture = useMemo(() => [arrowsBox(foot), scaleBox(size.height)], [foot, size.height]);
  const grid = choices.grid ? gridOf(view, size) : null;
  return (
    <>
      <g transform={viewTransform(view)}>
        {grid && <path className={styles.gridLines} d={grid.path} data-testid="grid" />}
      </g>
      <Uncertainty solution={solution} view={view} ends={ends} />
      <g transform={viewTransform(view)}>
        {choices.walks && !ends && <WalksCloud solution={solution} />}
        <Walked scene={scene} />
        <SelectedLeg leg={leg} />
        {preview && <Preview preview={preview} />}
      </g>
      {home && <HomeLine drawing={home} />}
      <Names
        scene={scene}
        view={view}
        home={home}
        furniture={furniture}
        size={size}
        selected={selected}
      />
      <NorthArrows norths={norths} foot={foot} up={view.turn} />
      <ScaleBar
        view={view}
        height={size.height}
        paceMetres={generalPace(solution.end)}
        gridMetres={grid?.stepMetres ?? null}
      />
    </>
  );
}
